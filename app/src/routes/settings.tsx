import { fromHouse } from '../bundles/fromHouse';

const SettingsScreen = fromHouse((house) => house.SettingsScreen);

export default function SettingsRoute() {
  return <SettingsScreen />;
}
