import { useLocalSearchParams } from 'expo-router';
import { lazyForm } from '../../../forms/lazyForm';

const NewGroupScreen = lazyForm((forms) => forms.NewGroupScreen);

export default function AddGroupRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <NewGroupScreen key={id} tankId={id} />;
}
