import { lazyComponent } from '../../ui';

const BroodsScreen = lazyComponent(async () => (await import('../../workshop')).BroodsScreen);

export default function BroodsRoute() {
  return <BroodsScreen />;
}
