import { useLocalSearchParams } from 'expo-router';
import { fromHouse } from '../../../bundles/fromHouse';

const NewGroupScreen = fromHouse((house) => house.NewGroupScreen);

export default function AddGroupRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <NewGroupScreen key={id} tankId={id} />;
}
