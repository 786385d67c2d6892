import { useLocalSearchParams } from 'expo-router';
import { late } from '../../../forms/late';

const DietScreen = late((forms) => forms.DietScreen);

export default function DietRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <DietScreen key={id} id={id} />;
}
