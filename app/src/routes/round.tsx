import { useLocalSearchParams } from 'expo-router';
import { RoundScreen } from '../round/RoundScreen';

export default function RoundRoute() {
  const { day } = useLocalSearchParams<{ day?: string }>();
  return <RoundScreen key={day} day={day} />;
}
