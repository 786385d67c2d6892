import { lazyComponent } from '../../ui';

const HouseWeekScreen = lazyComponent(async () => (await import('../../workshop')).HouseWeekScreen);

export default function HouseWeekRoute() {
  return <HouseWeekScreen />;
}
