import { lazyComponent } from '../../ui';

const CompareScreen = lazyComponent(async () => (await import('../../larder')).CompareScreen);

export default function CompareRoute() {
  return <CompareScreen />;
}
