import { TanksScreen } from '../../tank/TanksScreen';

export default function TanksRoute() {
  return <TanksScreen />;
}
