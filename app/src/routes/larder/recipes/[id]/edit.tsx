import { useLocalSearchParams } from 'expo-router';
import { late } from '../../../../forms/late';

const EditRecipeScreen = late((forms) => forms.EditRecipeScreen);

export default function EditRecipeRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <EditRecipeScreen key={id} id={id} />;
}
