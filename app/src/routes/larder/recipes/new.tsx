import { fromHouse } from '../../../bundles/fromHouse';

const NewRecipeScreen = fromHouse((house) => house.NewRecipeScreen);

export default function NewRecipeRoute() {
  return <NewRecipeScreen />;
}
