import { useLocalSearchParams } from 'expo-router';
import { fromHouse } from '../../bundles/fromHouse';

// The board, and the simulation behind it, load when the week is first opened.
const WeekScreen = fromHouse((house) => house.WeekScreen);

export default function WeekRoute() {
  const { tank } = useLocalSearchParams<{ tank?: string }>();
  return <WeekScreen tankId={tank} />;
}
