import { useLocalSearchParams } from 'expo-router';
import { lazyComponent } from '../../../ui';

const NewVesselScreen = lazyComponent(
  async () => (await import('../../../bundles/planning')).NewVesselScreen,
);

export default function NewVesselRoute() {
  const { from } = useLocalSearchParams<{ from?: string }>();
  return <NewVesselScreen from={from} />;
}
