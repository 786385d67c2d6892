import { lazyComponent } from '../../ui';

// Shared by two addresses: loaded with neither, but when one of them is opened.
const TanksScreen = lazyComponent(async () => (await import('../../tank/TanksScreen')).TanksScreen);

export default function TanksRoute() {
  return <TanksScreen />;
}
