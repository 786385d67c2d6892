import { lazyComponent } from '../../ui';

// Shared by two addresses: loaded with neither, but when one of them is opened.
const LarderScreen = lazyComponent(async () => (await import('../../larder')).LarderScreen);

export default function LarderRoute() {
  return <LarderScreen />;
}
