import { useLocalSearchParams } from 'expo-router';
import { later } from '../../ui';

const BroodsScreen = later(async () => (await import('../../workshop')).BroodsScreen);

export default function BroodRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <BroodsScreen key={id} id={id} />;
}
