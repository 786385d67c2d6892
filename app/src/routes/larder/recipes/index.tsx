import { fromHouse } from '../../../bundles/fromHouse';

const RecipesScreen = fromHouse((house) => house.RecipesScreen);

export default function RecipesRoute() {
  return <RecipesScreen />;
}
