import { fromHouse } from '../../bundles/fromHouse';

const CompareScreen = fromHouse((house) => house.CompareSpansScreen);

export default function CompareRoute() {
  return <CompareScreen />;
}
