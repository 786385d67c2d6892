import { lazyComponent } from '../../ui/lazyComponent';

const CompareScreen = lazyComponent(async () => (await import('../../ledger')).CompareScreen);

export default function CompareRoute() {
  return <CompareScreen />;
}
