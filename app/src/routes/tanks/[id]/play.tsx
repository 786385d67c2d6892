import { useLocalSearchParams } from 'expo-router';
import { fromHouse } from '../../../bundles/fromHouse';

// The simulation and its pictures load when a feeding is first looked at.
const PlayScreen = fromHouse((house) => house.PlayScreen);

export default function PlayRoute() {
  const { id, moment, day } = useLocalSearchParams<{ id: string; moment?: string; day?: string }>();
  return <PlayScreen key={id} id={id} moment={moment} day={day} />;
}
