import { useLocalSearchParams } from 'expo-router';
import { fromHouse } from '../../bundles/fromHouse';

const NewBroodScreen = fromHouse((house) => house.NewBroodScreen);

export default function NewBroodRoute() {
  const { tank, group } = useLocalSearchParams<{ tank?: string; group?: string }>();
  return <NewBroodScreen tank={tank} group={group} />;
}
