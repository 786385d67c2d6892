import { lazyComponent } from '../ui';

const WatchScreen = lazyComponent(async () => (await import('../bundles/planning')).WatchScreen);

export default function WatchRoute() {
  return <WatchScreen />;
}
