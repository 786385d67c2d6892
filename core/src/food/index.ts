export { carbohydrate, digestibleEnergy, ofDryMatter, type Composition } from './energy';
export { finerMeasure, finersOf, GLASS_ML, stepAt, type Finer } from './finer';
export { toGrams, toServingUnits, type ServingUnit } from './servingUnit';
export { isLitter, softensOn, type Lasting } from './litter';
export { compared, type Compared } from './compare';
export { mealSteps, prepared, type InWater, type Prepared } from './prepare';
export { unitMass, type UnitMass, type Weighing } from './weighIn';
