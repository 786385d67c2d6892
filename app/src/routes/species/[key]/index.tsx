import { useLocalSearchParams } from 'expo-router';
import { SpeciesScreen } from '../../../species/SpeciesScreen';

export default function SpeciesRoute() {
  const { key } = useLocalSearchParams<{ key: string }>();
  return <SpeciesScreen key={key} speciesKey={key} />;
}
