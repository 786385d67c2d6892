import { useLocalSearchParams } from 'expo-router';
import { lazyForm } from '../../../forms/lazyForm';

const EditSpeciesScreen = lazyForm((forms) => forms.EditSpeciesScreen);

export default function EditSpeciesRoute() {
  const { key } = useLocalSearchParams<{ key: string }>();
  return <EditSpeciesScreen speciesKey={key} />;
}
