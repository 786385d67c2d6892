import { lazyComponent } from '../../../ui';

const LiveScreen = lazyComponent(
  async () => (await import('../../../bundles/planning')).LiveScreen,
);

export default function LiveRoute() {
  return <LiveScreen />;
}
