import { useLocalSearchParams } from 'expo-router';
import { later } from '../../../../ui';

const RecipeScreen = later(
  async () => (await import('../../../../recipe/RecipeScreen')).RecipeScreen,
);

export default function RecipeRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <RecipeScreen key={id} id={id} />;
}
