import { fromHouse } from '../../bundles/fromHouse';

const SpeciesListScreen = fromHouse((house) => house.SpeciesListScreen);

export default function SpeciesListRoute() {
  return <SpeciesListScreen />;
}
