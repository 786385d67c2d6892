import { useLocalSearchParams } from 'expo-router';
import { late } from '../../../forms/late';

const NewGroupScreen = late((forms) => forms.NewGroupScreen);

export default function AddGroupRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <NewGroupScreen key={id} tankId={id} />;
}
