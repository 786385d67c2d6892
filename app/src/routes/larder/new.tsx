import { useLocalSearchParams } from 'expo-router';
import { fromHouse } from '../../bundles/fromHouse';

const NewFoodScreen = fromHouse((house) => house.NewFoodScreen);

export default function NewFoodRoute() {
  const { group } = useLocalSearchParams<{ group?: string }>();
  return <NewFoodScreen groupId={group} />;
}
