import { useLocalSearchParams } from 'expo-router';
import { fromHouse } from '../../../../bundles/fromHouse';

const EditRecipeScreen = fromHouse((house) => house.EditRecipeScreen);

export default function EditRecipeRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <EditRecipeScreen key={id} id={id} />;
}
