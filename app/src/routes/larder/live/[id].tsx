import { useLocalSearchParams } from 'expo-router';
import { fromHouse } from '../../../bundles/fromHouse';

const LiveScreen = fromHouse((house) => house.LiveScreen);

export default function VesselRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <LiveScreen key={id} id={id} />;
}
