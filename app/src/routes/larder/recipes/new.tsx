import { lazyForm } from '../../../forms/lazyForm';

const NewRecipeScreen = lazyForm((forms) => forms.NewRecipeScreen);

export default function NewRecipeRoute() {
  return <NewRecipeScreen />;
}
