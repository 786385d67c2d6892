import { useLocalSearchParams } from 'expo-router';
import { lazyComponent } from '../../ui';

const BroodsScreen = lazyComponent(
  async () => (await import('../../bundles/planning')).BroodsScreen,
);

export default function BroodRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <BroodsScreen key={id} id={id} />;
}
