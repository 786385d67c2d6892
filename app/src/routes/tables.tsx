import { TablesScreen } from '../table/TablesScreen';

export default function TablesRoute() {
  return <TablesScreen />;
}
