import { RecordsScreen } from '../records/RecordsScreen';

export default function RecordsRoute() {
  return <RecordsScreen />;
}
