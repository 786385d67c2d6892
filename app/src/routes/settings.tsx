import { lazyForm } from '../forms/lazyForm';

const SettingsScreen = lazyForm((forms) => forms.SettingsScreen);

export default function SettingsRoute() {
  return <SettingsScreen />;
}
