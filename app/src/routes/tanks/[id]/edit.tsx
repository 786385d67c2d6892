import { useLocalSearchParams } from 'expo-router';
import { late } from '../../../forms/late';

const EditTankScreen = late((forms) => forms.EditTankScreen);

export default function EditTankRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <EditTankScreen key={id} id={id} />;
}
