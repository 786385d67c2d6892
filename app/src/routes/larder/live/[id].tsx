import { useLocalSearchParams } from 'expo-router';
import { later } from '../../../ui';

const LiveScreen = later(async () => (await import('../../../workshop')).LiveScreen);

export default function VesselRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <LiveScreen key={id} id={id} />;
}
