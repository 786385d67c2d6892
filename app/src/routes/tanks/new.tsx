import { useLocalSearchParams } from 'expo-router';
import { fromHouse } from '../../bundles/fromHouse';

const NewTankScreen = fromHouse((house) => house.NewTankScreen);

export default function NewTankRoute() {
  const { like } = useLocalSearchParams<{ like?: string }>();
  return <NewTankScreen like={like} />;
}
