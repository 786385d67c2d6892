import { useLocalSearchParams } from 'expo-router';
import { TanksScreen } from '../../../tank/TanksScreen';

export default function TankRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <TanksScreen key={id} id={id} />;
}
