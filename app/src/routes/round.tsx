import { useLocalSearchParams } from 'expo-router';
import { RoundScreen } from '../round/RoundScreen';

export default function RoundRoute() {
  const { day, at } = useLocalSearchParams<{ day?: string; at?: string }>();
  return <RoundScreen key={`${day} ${at}`} day={day} at={at} />;
}
