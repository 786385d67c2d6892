import { useLocalSearchParams } from 'expo-router';
import { later } from '../../ui';

const DryRunScreen = later(async () => (await import('../../workshop')).DryRunScreen);

export default function DryRunRoute() {
  const { tank } = useLocalSearchParams<{ tank?: string }>();
  return <DryRunScreen tankId={tank} />;
}
