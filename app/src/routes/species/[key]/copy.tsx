import { useLocalSearchParams } from 'expo-router';
import { fromHouse } from '../../../bundles/fromHouse';

const CopySpeciesScreen = fromHouse((house) => house.CopySpeciesScreen);

export default function CopySpeciesRoute() {
  const { key } = useLocalSearchParams<{ key: string }>();
  return <CopySpeciesScreen speciesKey={key} />;
}
