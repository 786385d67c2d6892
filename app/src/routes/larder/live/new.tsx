import { useLocalSearchParams } from 'expo-router';
import { later } from '../../../ui';

const NewVesselScreen = later(async () => (await import('../../../workshop')).NewVesselScreen);

export default function NewVesselRoute() {
  const { from } = useLocalSearchParams<{ from?: string }>();
  return <NewVesselScreen from={from} />;
}
