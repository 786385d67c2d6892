import { later } from '../../ui';

const CompareScreen = later(async () => (await import('../../larder')).CompareScreen);

export default function CompareRoute() {
  return <CompareScreen />;
}
