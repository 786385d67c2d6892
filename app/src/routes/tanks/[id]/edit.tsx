import { useLocalSearchParams } from 'expo-router';
import { EditTankScreen } from '../../../tank/EditTankScreen';

export default function EditTankRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <EditTankScreen key={id} id={id} />;
}
