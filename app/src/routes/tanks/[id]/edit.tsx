import { useLocalSearchParams } from 'expo-router';
import { lazyForm } from '../../../forms/lazyForm';

const EditTankScreen = lazyForm((forms) => forms.EditTankScreen);

export default function EditTankRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <EditTankScreen key={id} id={id} />;
}
