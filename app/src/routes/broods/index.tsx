import { fromHouse } from '../../bundles/fromHouse';

const BroodsScreen = fromHouse((house) => house.BroodsScreen);

export default function BroodsRoute() {
  return <BroodsScreen />;
}
