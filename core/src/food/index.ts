export { carbohydrate, digestibleEnergy, ofDryMatter, type Composition } from './energy';
export { finersOf, stepAt, type Finer } from './finer';
export {
  formatGramBand,
  formatBodyMass,
  formatGrams,
  formatUnits,
  toGrams,
  toHandUnits,
  type HandUnit,
} from './handUnit';
export { isLitter, softensOn, type Lasting } from './litter';
export { compared, type Compared } from './compare';
export {
  mealSteps,
  prepared,
  formatMinutes,
  formatPreparation,
  type InWater,
  type Prepared,
} from './prepare';
export { unitMass, type UnitMass, type Weighing } from './weighIn';
