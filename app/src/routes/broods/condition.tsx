import { useLocalSearchParams } from 'expo-router';
import { lazyComponent } from '../../ui';

const ConditionScreen = lazyComponent(async () => (await import('../../workshop')).ConditionScreen);

export default function ConditionRoute() {
  const { group } = useLocalSearchParams<{ group?: string }>();
  return <ConditionScreen group={group} />;
}
