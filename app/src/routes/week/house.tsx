import { later } from '../../ui';

const HouseWeekScreen = later(
  async () => (await import('../../week/HouseWeekScreen')).HouseWeekScreen,
);

export default function HouseWeekRoute() {
  return <HouseWeekScreen />;
}
