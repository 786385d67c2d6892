import { useLocalSearchParams } from 'expo-router';
import { fromHouse } from '../../bundles/fromHouse';

const BroodsScreen = fromHouse((house) => house.BroodsScreen);

export default function BroodRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <BroodsScreen key={id} id={id} />;
}
