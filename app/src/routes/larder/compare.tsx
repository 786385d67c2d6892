import { CompareScreen } from '../../larder/CompareScreen';

export default function CompareRoute() {
  return <CompareScreen />;
}
