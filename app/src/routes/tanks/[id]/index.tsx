import { useLocalSearchParams } from 'expo-router';
import { lazyComponent } from '../../../ui';

// Shared by two addresses: loaded with neither, but when one of them is opened.
const TanksScreen = lazyComponent(
  async () => (await import('../../../tank/TanksScreen')).TanksScreen,
);

export default function TankRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <TanksScreen key={id} id={id} />;
}
