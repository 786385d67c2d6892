import { fromHouse } from '../bundles/fromHouse';

const FishScreen = fromHouse((house) => house.FishScreen);

export default function FishRoute() {
  return <FishScreen />;
}
