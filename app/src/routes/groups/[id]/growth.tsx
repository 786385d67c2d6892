import { useLocalSearchParams } from 'expo-router';
import { fromHouse } from '../../../bundles/fromHouse';

const GrowthScreen = fromHouse((house) => house.GrowthScreen);

export default function GrowthRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <GrowthScreen key={id} id={id} />;
}
