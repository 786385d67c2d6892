import { useLocalSearchParams } from 'expo-router';
import { TablesScreen } from '../table/TablesScreen';

export default function TablesRoute() {
  const { table } = useLocalSearchParams<{ table?: string }>();
  return <TablesScreen key={table} first={table} />;
}
