import { late } from '../forms/late';

const SettingsScreen = late((forms) => forms.SettingsScreen);

export default function SettingsRoute() {
  return <SettingsScreen />;
}
