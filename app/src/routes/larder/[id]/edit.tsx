import { useLocalSearchParams } from 'expo-router';
import { late } from '../../../forms/late';

const EditFoodScreen = late((forms) => forms.EditFoodScreen);

export default function EditFoodRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <EditFoodScreen key={id} id={id} />;
}
