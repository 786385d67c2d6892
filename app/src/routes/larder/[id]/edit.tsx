import { useLocalSearchParams } from 'expo-router';
import { fromHouse } from '../../../bundles/fromHouse';

const EditFoodScreen = fromHouse((house) => house.EditFoodScreen);

export default function EditFoodRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <EditFoodScreen key={id} id={id} />;
}
