import { later } from '../../ui';

const BroodsScreen = later(async () => (await import('../../workshop')).BroodsScreen);

export default function BroodsRoute() {
  return <BroodsScreen />;
}
