import { useLocalSearchParams } from 'expo-router';
import { later } from '../../ui';

const ConditionScreen = later(async () => (await import('../../workshop')).ConditionScreen);

export default function ConditionRoute() {
  const { group } = useLocalSearchParams<{ group?: string }>();
  return <ConditionScreen group={group} />;
}
