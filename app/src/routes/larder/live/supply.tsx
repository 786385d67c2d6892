import { later } from '../../../ui';

const SupplyScreen = later(async () => (await import('../../../workshop')).SupplyScreen);

export default function SupplyRoute() {
  return <SupplyScreen />;
}
