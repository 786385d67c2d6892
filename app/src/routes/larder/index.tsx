import { fromHouse } from '../../bundles/fromHouse';

// Shared by two addresses: loaded with neither, but when one of them is opened.
const LarderScreen = fromHouse((house) => house.LarderScreen);

export default function LarderRoute() {
  return <LarderScreen />;
}
