import { useLocalSearchParams } from 'expo-router';
import { fromHouse } from '../../bundles/fromHouse';

const ConditionScreen = fromHouse((house) => house.ConditionScreen);

export default function ConditionRoute() {
  const { group } = useLocalSearchParams<{ group?: string }>();
  return <ConditionScreen group={group} />;
}
