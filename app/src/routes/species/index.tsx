import { SpeciesListScreen } from '../../species/SpeciesListScreen';

export default function SpeciesListRoute() {
  return <SpeciesListScreen />;
}
