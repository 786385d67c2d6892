import { useLocalSearchParams } from 'expo-router';
import { fromHouse } from '../../../bundles/fromHouse';

// Shared by two addresses: loaded with neither, but when one of them is opened.
const TanksScreen = fromHouse((house) => house.TanksScreen);

export default function TankRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <TanksScreen key={id} id={id} />;
}
