import { useLocalSearchParams } from 'expo-router';
import { lazyComponent } from '../../ui';

const ConditionScreen = lazyComponent(
  async () => (await import('../../bundles/planning')).ConditionScreen,
);

export default function ConditionRoute() {
  const { group } = useLocalSearchParams<{ group?: string }>();
  return <ConditionScreen group={group} />;
}
