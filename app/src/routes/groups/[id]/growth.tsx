import { useLocalSearchParams } from 'expo-router';
import { later } from '../../../ui';

const GrowthScreen = later(async () => (await import('../../../ledger')).GrowthScreen);

export default function GrowthRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <GrowthScreen key={id} id={id} />;
}
