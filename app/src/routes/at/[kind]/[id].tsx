import { useLocalSearchParams } from 'expo-router';
import { fromHouse } from '../../../bundles/fromHouse';

const FromLabel = fromHouse((house) => house.FromLabel);

export default function LabelRoute() {
  const { kind, id } = useLocalSearchParams<{ kind: string; id: string }>();
  return <FromLabel key={id} kind={kind} id={id} />;
}
