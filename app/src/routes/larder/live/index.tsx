import { lazyComponent } from '../../../ui';

const LiveScreen = lazyComponent(async () => (await import('../../../workshop')).LiveScreen);

export default function LiveRoute() {
  return <LiveScreen />;
}
