import { NewFoodScreen } from '../../larder/NewFoodScreen';

export default function NewFoodRoute() {
  return <NewFoodScreen />;
}
