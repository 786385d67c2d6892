import { later } from '../../ui/later';

const CompareScreen = later(async () => (await import('../../ledger')).CompareScreen);

export default function CompareRoute() {
  return <CompareScreen />;
}
