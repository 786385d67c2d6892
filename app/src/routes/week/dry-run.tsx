import { useLocalSearchParams } from 'expo-router';
import { fromHouse } from '../../bundles/fromHouse';

const DryRunScreen = fromHouse((house) => house.DryRunScreen);

export default function DryRunRoute() {
  const { tank } = useLocalSearchParams<{ tank?: string }>();
  return <DryRunScreen tankId={tank} />;
}
