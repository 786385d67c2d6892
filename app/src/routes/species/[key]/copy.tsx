import { useLocalSearchParams } from 'expo-router';
import { late } from '../../../forms/late';

const CopySpeciesScreen = late((forms) => forms.CopySpeciesScreen);

export default function CopySpeciesRoute() {
  const { key } = useLocalSearchParams<{ key: string }>();
  return <CopySpeciesScreen speciesKey={key} />;
}
