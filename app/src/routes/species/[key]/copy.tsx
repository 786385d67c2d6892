import { useLocalSearchParams } from 'expo-router';
import { lazyForm } from '../../../forms/lazyForm';

const CopySpeciesScreen = lazyForm((forms) => forms.CopySpeciesScreen);

export default function CopySpeciesRoute() {
  const { key } = useLocalSearchParams<{ key: string }>();
  return <CopySpeciesScreen speciesKey={key} />;
}
