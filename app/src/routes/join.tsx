import { fromHouse } from '../bundles/fromHouse';

const JoinScreen = fromHouse((house) => house.JoinScreen);

export default function JoinRoute() {
  return <JoinScreen />;
}
