/**
 * The one door to all that the first screen does not show: every other place, its sheets, its charts and
 * the packages behind them. They load together, once the Round is there: behind several doors, what two of
 * them share would load with the first screen.
 */
export { BroodsScreen } from '../brood/BroodsScreen';
export { BroodsWork } from '../brood/BroodsWork';
export { ConditionScreen } from '../brood/ConditionScreen';
export { ParentsScreen } from '../brood/ParentsScreen';
export { NewBroodScreen } from '../brood/NewBroodScreen';
export { LiveScreen } from '../culture/LiveScreen';
export { NewVesselScreen } from '../culture/NewVesselScreen';
export { SupplyScreen } from '../culture/SupplyScreen';
export { DietScreen } from '../diet/DietScreen';
export { FishScreen } from '../fish/FishScreen';
export { GroupScreen } from '../group/GroupScreen';
export { NewGroupScreen } from '../group/NewGroupScreen';
export { GrowthScreen } from '../growth/GrowthScreen';
export { SettingsScreen } from '../household/SettingsScreen';
export { InventoryScreen } from '../inventory/InventoryScreen';
export { CompareScreen as CompareFoodsScreen } from '../larder/CompareScreen';
export { EditFoodScreen } from '../larder/EditFoodScreen';
export { LarderScreen } from '../larder/LarderScreen';
export { NewFoodScreen } from '../larder/NewFoodScreen';
export { Proposals } from '../proposal/Proposals';
export { EditRecipeScreen } from '../recipe/EditRecipeScreen';
export { NewRecipeScreen } from '../recipe/NewRecipeScreen';
export { RecipeScreen } from '../recipe/RecipeScreen';
export { RecipesScreen } from '../recipe/RecipesScreen';
export { CompareScreen as CompareSpansScreen } from '../records/CompareScreen';
export { RecordsScreen } from '../records/RecordsScreen';
export { AgainSheet } from '../round/AgainSheet';
export { AheadSheet } from '../round/AheadSheet';
export { BesidesSheet } from '../round/BesidesSheet';
export { CultureWork } from '../round/CultureWork';
export { DayTable } from '../round/DayTable';
export { LiveMeals } from '../round/LiveMeals';
export { LookSheet } from '../round/LookSheet';
export { OtherSheet } from '../round/OtherSheet';
export { RoundAside } from '../round/RoundAside';
export { CopySpeciesScreen } from '../species/CopySpeciesScreen';
export { EditSpeciesScreen } from '../species/EditSpeciesScreen';
export { SpeciesListScreen } from '../species/SpeciesListScreen';
export { SpeciesScreen } from '../species/SpeciesScreen';
export { TablesScreen } from '../table/TablesScreen';
export { EditTankScreen } from '../tank/EditTankScreen';
export { NewTankScreen } from '../tank/NewTankScreen';
export { TanksScreen } from '../tank/TanksScreen';
export { WatchScreen } from '../watch/WatchScreen';
export { WaterScreen } from '../water/WaterScreen';
export { WaterWork } from '../water/WaterWork';
export { DryRunScreen } from '../week/DryRunScreen';
export { HouseWeekScreen } from '../week/HouseWeekScreen';
export { WeekScreen } from '../week/WeekScreen';
export { PlayScreen } from '../zones/PlayScreen';
