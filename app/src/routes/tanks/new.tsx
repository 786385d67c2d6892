import { useLocalSearchParams } from 'expo-router';
import { lazyForm } from '../../forms/lazyForm';

const NewTankScreen = lazyForm((forms) => forms.NewTankScreen);

export default function NewTankRoute() {
  const { like } = useLocalSearchParams<{ like?: string }>();
  return <NewTankScreen like={like} />;
}
