import { useLocalSearchParams } from 'expo-router';
import { lazyComponent } from '../../ui';

const DryRunScreen = lazyComponent(
  async () => (await import('../../bundles/planning')).DryRunScreen,
);

export default function DryRunRoute() {
  const { tank } = useLocalSearchParams<{ tank?: string }>();
  return <DryRunScreen tankId={tank} />;
}
