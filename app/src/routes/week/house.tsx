import { fromHouse } from '../../bundles/fromHouse';

const HouseWeekScreen = fromHouse((house) => house.HouseWeekScreen);

export default function HouseWeekRoute() {
  return <HouseWeekScreen />;
}
