import { useLocalSearchParams } from 'expo-router';
import { fromHouse } from '../../../bundles/fromHouse';

const EditTankScreen = fromHouse((house) => house.EditTankScreen);

export default function EditTankRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <EditTankScreen key={id} id={id} />;
}
