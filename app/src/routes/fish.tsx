import { FishScreen } from '../fish/FishScreen';

export default function FishRoute() {
  return <FishScreen />;
}
