import { useLocalSearchParams } from 'expo-router';
import { WeekScreen } from '../week/WeekScreen';

export default function WeekRoute() {
  const { tank } = useLocalSearchParams<{ tank?: string }>();
  return <WeekScreen tankId={tank} />;
}
