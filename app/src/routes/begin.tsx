import { useLocalSearchParams } from 'expo-router';
import { lazyForm } from '../forms/lazyForm';

const InventoryScreen = lazyForm((forms) => forms.InventoryScreen);

export default function BeginRoute() {
  const { tank } = useLocalSearchParams<{ tank?: string }>();
  return <InventoryScreen key={tank} tankId={tank} />;
}
