import { later } from '../../../ui';

const RecipesScreen = later(
  async () => (await import('../../../recipe/RecipesScreen')).RecipesScreen,
);

export default function RecipesRoute() {
  return <RecipesScreen />;
}
