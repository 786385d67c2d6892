import { fromHouse } from '../../../bundles/fromHouse';

const SupplyScreen = fromHouse((house) => house.SupplyScreen);

export default function SupplyRoute() {
  return <SupplyScreen />;
}
