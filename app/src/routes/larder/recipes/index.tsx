import { late } from '../../../forms/late';

const RecipesScreen = late((forms) => forms.RecipesScreen);

export default function RecipesRoute() {
  return <RecipesScreen />;
}
