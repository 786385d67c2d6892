import { useLocalSearchParams } from 'expo-router';
import { fromHouse } from '../../../bundles/fromHouse';

const EditSpeciesScreen = fromHouse((house) => house.EditSpeciesScreen);

export default function EditSpeciesRoute() {
  const { key } = useLocalSearchParams<{ key: string }>();
  return <EditSpeciesScreen speciesKey={key} />;
}
