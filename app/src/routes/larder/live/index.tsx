import { fromHouse } from '../../../bundles/fromHouse';

const LiveScreen = fromHouse((house) => house.LiveScreen);

export default function LiveRoute() {
  return <LiveScreen />;
}
