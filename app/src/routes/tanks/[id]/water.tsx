import { useLocalSearchParams } from 'expo-router';
import { fromHouse } from '../../../bundles/fromHouse';

const WaterScreen = fromHouse((house) => house.WaterScreen);

export default function WaterRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <WaterScreen key={id} id={id} />;
}
