import { useLocalSearchParams } from 'expo-router';
import { later } from '../../../ui';

const WaterScreen = later(async () => (await import('../../../water')).WaterScreen);

export default function WaterRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <WaterScreen key={id} id={id} />;
}
