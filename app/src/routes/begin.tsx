import { useLocalSearchParams } from 'expo-router';
import { fromHouse } from '../bundles/fromHouse';

const InventoryScreen = fromHouse((house) => house.InventoryScreen);

export default function BeginRoute() {
  const { tank } = useLocalSearchParams<{ tank?: string }>();
  return <InventoryScreen key={tank} tankId={tank} />;
}
