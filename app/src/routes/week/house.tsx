import { lazyComponent } from '../../ui';

const HouseWeekScreen = lazyComponent(
  async () => (await import('../../bundles/planning')).HouseWeekScreen,
);

export default function HouseWeekRoute() {
  return <HouseWeekScreen />;
}
