import { lazyComponent } from '../../ui/lazyComponent';

const CompareScreen = lazyComponent(
  async () => (await import('../../bundles/records')).CompareScreen,
);

export default function CompareRoute() {
  return <CompareScreen />;
}
