import { fromHouse } from '../../bundles/fromHouse';

// Shared by two addresses: loaded with neither, but when one of them is opened.
const TanksScreen = fromHouse((house) => house.TanksScreen);

export default function TanksRoute() {
  return <TanksScreen />;
}
