import { fromHouse } from '../bundles/fromHouse';

const PairScreen = fromHouse((house) => house.PairScreen);

export default function PairRoute() {
  return <PairScreen />;
}
