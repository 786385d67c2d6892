import { useLocalSearchParams } from 'expo-router';
import { lazyForm } from '../../../forms/lazyForm';

const DietScreen = lazyForm((forms) => forms.DietScreen);

export default function DietRoute() {
  const { id, food } = useLocalSearchParams<{ id: string; food?: string }>();
  return <DietScreen key={`${id} ${food ?? ''}`} id={id} foodId={food} />;
}
