import { lazyForm } from '../../../forms/lazyForm';

const RecipesScreen = lazyForm((forms) => forms.RecipesScreen);

export default function RecipesRoute() {
  return <RecipesScreen />;
}
