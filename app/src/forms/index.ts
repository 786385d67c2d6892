/**
 * Everything that checks what is typed, behind one door: it loads in one piece, with the
 * validation and form packages, when the first form is opened.
 */
export { DietScreen } from '../diet/DietScreen';
export { EditGroupSheet } from '../group/EditGroupSheet';
export { EventSheet } from '../group/EventSheet';
export { MergeSheet } from '../group/MergeSheet';
export { MoveSheet } from '../group/MoveSheet';
export { NewGroupScreen } from '../group/NewGroupScreen';
export { SplitSheet } from '../group/SplitSheet';
export { SettingsScreen } from '../household/SettingsScreen';
export { InventoryScreen } from '../inventory/InventoryScreen';
export { CountSheet } from '../larder/CountSheet';
export { EditFoodScreen } from '../larder/EditFoodScreen';
export { LotSheet } from '../larder/LotSheet';
export { NewFoodScreen } from '../larder/NewFoodScreen';
export { WeighSheet } from '../larder/WeighSheet';
export { EditRecipeScreen } from '../recipe/EditRecipeScreen';
export { NewRecipeScreen } from '../recipe/NewRecipeScreen';
export { RecipeScreen } from '../recipe/RecipeScreen';
export { RecipesScreen } from '../recipe/RecipesScreen';
export { CopySpeciesScreen } from '../species/CopySpeciesScreen';
export { EditSpeciesScreen } from '../species/EditSpeciesScreen';
export { EditTankScreen } from '../tank/EditTankScreen';
export { RhythmSheet } from '../water/RhythmSheet';
export { WaterQuestions } from '../water/WaterQuestions';
export { TestSheet } from '../water/TestSheet';
export { NewTankScreen } from '../tank/NewTankScreen';
