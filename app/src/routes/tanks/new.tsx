import { late } from '../../forms/late';

const NewTankScreen = late((forms) => forms.NewTankScreen);

export default function NewTankRoute() {
  return <NewTankScreen />;
}
