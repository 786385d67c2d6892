import { lazyComponent } from '../../../ui';

const SupplyScreen = lazyComponent(
  async () => (await import('../../../bundles/planning')).SupplyScreen,
);

export default function SupplyRoute() {
  return <SupplyScreen />;
}
