import { useLocalSearchParams } from 'expo-router';
import { lazyForm } from '../../../../forms/lazyForm';

const EditRecipeScreen = lazyForm((forms) => forms.EditRecipeScreen);

export default function EditRecipeRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <EditRecipeScreen key={id} id={id} />;
}
