import { useLocalSearchParams } from 'expo-router';
import { fromHouse } from '../../../bundles/fromHouse';

const ParentsScreen = fromHouse((house) => house.ParentsScreen);

export default function ParentsRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <ParentsScreen key={id} id={id} />;
}
