import { useLocalSearchParams } from 'expo-router';
import { lazyForm } from '../../../forms/lazyForm';

const DietScreen = lazyForm((forms) => forms.DietScreen);

export default function DietRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <DietScreen key={id} id={id} />;
}
