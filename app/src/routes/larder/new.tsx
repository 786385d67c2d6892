import { late } from '../../forms/late';

const NewFoodScreen = late((forms) => forms.NewFoodScreen);

export default function NewFoodRoute() {
  return <NewFoodScreen />;
}
