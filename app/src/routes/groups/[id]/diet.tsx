import { useLocalSearchParams } from 'expo-router';
import { DietScreen } from '../../../diet/DietScreen';

export default function DietRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <DietScreen key={id} id={id} />;
}
