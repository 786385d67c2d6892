import { useLocalSearchParams } from 'expo-router';
import { fromHouse } from '../bundles/fromHouse';

const TablesScreen = fromHouse((house) => house.TablesScreen);

export default function TablesRoute() {
  const { table } = useLocalSearchParams<{ table?: string }>();
  return <TablesScreen key={table} first={table} />;
}
