import { useLocalSearchParams } from 'expo-router';
import { fromHouse } from '../../../bundles/fromHouse';

const NewVesselScreen = fromHouse((house) => house.NewVesselScreen);

export default function NewVesselRoute() {
  const { from } = useLocalSearchParams<{ from?: string }>();
  return <NewVesselScreen from={from} />;
}
