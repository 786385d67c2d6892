import { useLocalSearchParams } from 'expo-router';
import { LarderScreen } from '../../../larder/LarderScreen';

export default function FoodRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <LarderScreen key={id} id={id} />;
}
