import { late } from '../../../forms/late';

const NewRecipeScreen = late((forms) => forms.NewRecipeScreen);

export default function NewRecipeRoute() {
  return <NewRecipeScreen />;
}
