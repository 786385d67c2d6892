import { useLocalSearchParams } from 'expo-router';
import { lazyForm } from '../../../../forms/lazyForm';

const RecipeScreen = lazyForm((forms) => forms.RecipeScreen);

export default function RecipeRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <RecipeScreen key={id} id={id} />;
}
