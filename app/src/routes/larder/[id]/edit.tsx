import { useLocalSearchParams } from 'expo-router';
import { lazyForm } from '../../../forms/lazyForm';

const EditFoodScreen = lazyForm((forms) => forms.EditFoodScreen);

export default function EditFoodRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <EditFoodScreen key={id} id={id} />;
}
