import { useLocalSearchParams } from 'expo-router';
import type { RecordsTab } from '../../records/RecordsScreen';
import { fromHouse } from '../../bundles/fromHouse';

const RecordsScreen = fromHouse((house) => house.RecordsScreen);

export default function RecordsRoute() {
  const { tab } = useLocalSearchParams<{ tab?: RecordsTab }>();
  return <RecordsScreen key={tab} first={tab} />;
}
