import { useLocalSearchParams } from 'expo-router';
import { lazyComponent } from '../../../ui';

const WaterScreen = lazyComponent(async () => (await import('../../../water')).WaterScreen);

export default function WaterRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <WaterScreen key={id} id={id} />;
}
