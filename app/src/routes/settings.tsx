import { SettingsScreen } from '../household/SettingsScreen';

export default function SettingsRoute() {
  return <SettingsScreen />;
}
