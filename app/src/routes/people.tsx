import { fromHouse } from '../bundles/fromHouse';

const PeopleScreen = fromHouse((house) => house.PeopleScreen);

export default function PeopleRoute() {
  return <PeopleScreen />;
}
