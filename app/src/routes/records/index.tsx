import { useLocalSearchParams } from 'expo-router';
import { RecordsScreen, type RecordsTab } from '../../records/RecordsScreen';

export default function RecordsRoute() {
  const { tab } = useLocalSearchParams<{ tab?: RecordsTab }>();
  return <RecordsScreen key={tab} first={tab} />;
}
