import { useLocalSearchParams } from 'expo-router';
import { fromHouse } from '../../../../bundles/fromHouse';

const RecipeScreen = fromHouse((house) => house.RecipeScreen);

export default function RecipeRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <RecipeScreen key={id} id={id} />;
}
