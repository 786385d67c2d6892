import { useLocalSearchParams } from 'expo-router';
import { lazyComponent } from '../../../ui';

const LiveScreen = lazyComponent(
  async () => (await import('../../../bundles/planning')).LiveScreen,
);

export default function VesselRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <LiveScreen key={id} id={id} />;
}
