import { useLocalSearchParams } from 'expo-router';
import { late } from '../../forms/late';

const NewTankScreen = late((forms) => forms.NewTankScreen);

export default function NewTankRoute() {
  const { like } = useLocalSearchParams<{ like?: string }>();
  return <NewTankScreen like={like} />;
}
