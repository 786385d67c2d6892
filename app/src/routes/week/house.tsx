import { later } from '../../ui';

const HouseWeekScreen = later(async () => (await import('../../workshop')).HouseWeekScreen);

export default function HouseWeekRoute() {
  return <HouseWeekScreen />;
}
