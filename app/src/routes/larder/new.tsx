import { lazyForm } from '../../forms/lazyForm';

const NewFoodScreen = lazyForm((forms) => forms.NewFoodScreen);

export default function NewFoodRoute() {
  return <NewFoodScreen />;
}
