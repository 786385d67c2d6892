import { useLocalSearchParams } from 'expo-router';
import { lazyComponent } from '../../ui';

// The board, and the simulation behind it, load when the week is first opened.
const WeekScreen = lazyComponent(async () => (await import('../../bundles/planning')).WeekScreen);

export default function WeekRoute() {
  const { tank } = useLocalSearchParams<{ tank?: string }>();
  return <WeekScreen tankId={tank} />;
}
