import { useLocalSearchParams } from 'expo-router';
import { fromHouse } from '../../../bundles/fromHouse';

const DietScreen = fromHouse((house) => house.DietScreen);

export default function DietRoute() {
  const { id, food } = useLocalSearchParams<{ id: string; food?: string }>();
  return <DietScreen key={`${id} ${food ?? ''}`} id={id} foodId={food} />;
}
