import { useLocalSearchParams } from 'expo-router';
import { lazyComponent } from '../../../ui';

const GrowthScreen = lazyComponent(
  async () => (await import('../../../bundles/records')).GrowthScreen,
);

export default function GrowthRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <GrowthScreen key={id} id={id} />;
}
