import { useLocalSearchParams } from 'expo-router';
import { lazyComponent } from '../../ui';

const NewBroodScreen = lazyComponent(
  async () => (await import('../../bundles/planning')).NewBroodScreen,
);

export default function NewBroodRoute() {
  const { tank, group } = useLocalSearchParams<{ tank?: string; group?: string }>();
  return <NewBroodScreen tank={tank} group={group} />;
}
