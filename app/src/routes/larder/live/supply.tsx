import { lazyComponent } from '../../../ui';

const SupplyScreen = lazyComponent(async () => (await import('../../../workshop')).SupplyScreen);

export default function SupplyRoute() {
  return <SupplyScreen />;
}
