import { useLocalSearchParams } from 'expo-router';
import { late } from '../../../../forms/late';

const RecipeScreen = late((forms) => forms.RecipeScreen);

export default function RecipeRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <RecipeScreen key={id} id={id} />;
}
