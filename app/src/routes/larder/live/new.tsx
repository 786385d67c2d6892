import { useLocalSearchParams } from 'expo-router';
import { lazyComponent } from '../../../ui';

const NewVesselScreen = lazyComponent(
  async () => (await import('../../../workshop')).NewVesselScreen,
);

export default function NewVesselRoute() {
  const { from } = useLocalSearchParams<{ from?: string }>();
  return <NewVesselScreen from={from} />;
}
