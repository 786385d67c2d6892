import { useLocalSearchParams } from 'expo-router';
import { lazyForm } from '../../forms/lazyForm';

const NewFoodScreen = lazyForm((forms) => forms.NewFoodScreen);

export default function NewFoodRoute() {
  const { group } = useLocalSearchParams<{ group?: string }>();
  return <NewFoodScreen groupId={group} />;
}
