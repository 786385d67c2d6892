import { useLocalSearchParams } from 'expo-router';
import { fromHouse } from '../../../bundles/fromHouse';

const SpeciesScreen = fromHouse((house) => house.SpeciesScreen);

export default function SpeciesRoute() {
  const { key } = useLocalSearchParams<{ key: string }>();
  return <SpeciesScreen key={key} speciesKey={key} />;
}
