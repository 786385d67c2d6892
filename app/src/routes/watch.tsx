import { fromHouse } from '../bundles/fromHouse';

const WatchScreen = fromHouse((house) => house.WatchScreen);

export default function WatchRoute() {
  return <WatchScreen />;
}
