import { useLocalSearchParams } from 'expo-router';
import { late } from '../../../forms/late';

const EditSpeciesScreen = late((forms) => forms.EditSpeciesScreen);

export default function EditSpeciesRoute() {
  const { key } = useLocalSearchParams<{ key: string }>();
  return <EditSpeciesScreen speciesKey={key} />;
}
