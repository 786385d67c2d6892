import { NewTankScreen } from '../../tank/NewTankScreen';

export default function NewTankRoute() {
  return <NewTankScreen />;
}
