import { useLocalSearchParams } from 'expo-router';
import { lazyComponent } from '../../../ui';

// Shared by two addresses: loaded with neither, but when one of them is opened.
const LarderScreen = lazyComponent(async () => (await import('../../../larder')).LarderScreen);

export default function FoodRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <LarderScreen key={id} id={id} />;
}
