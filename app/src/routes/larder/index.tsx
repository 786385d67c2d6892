import { LarderScreen } from '../../larder/LarderScreen';

export default function LarderRoute() {
  return <LarderScreen />;
}
