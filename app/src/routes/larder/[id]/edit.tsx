import { useLocalSearchParams } from 'expo-router';
import { EditFoodScreen } from '../../../larder/EditFoodScreen';

export default function EditFoodRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <EditFoodScreen key={id} id={id} />;
}
