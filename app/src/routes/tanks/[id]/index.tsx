import { useLocalSearchParams } from 'expo-router';
import { later } from '../../../ui';

// Shared by two addresses: loaded with neither, but when one of them is opened.
const TanksScreen = later(async () => (await import('../../../tank/TanksScreen')).TanksScreen);

export default function TankRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <TanksScreen key={id} id={id} />;
}
