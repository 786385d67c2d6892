import { fromHouse } from '../../bundles/fromHouse';

const CompareScreen = fromHouse((house) => house.CompareFoodsScreen);

export default function CompareRoute() {
  return <CompareScreen />;
}
