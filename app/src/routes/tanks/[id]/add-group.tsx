import { useLocalSearchParams } from 'expo-router';
import { NewGroupScreen } from '../../../group/NewGroupScreen';

export default function AddGroupRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <NewGroupScreen key={id} tankId={id} />;
}
