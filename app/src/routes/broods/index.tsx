import { lazyComponent } from '../../ui';

const BroodsScreen = lazyComponent(
  async () => (await import('../../bundles/planning')).BroodsScreen,
);

export default function BroodsRoute() {
  return <BroodsScreen />;
}
