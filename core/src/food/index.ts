export { carbohydrate, digestibleEnergy, ofDryMatter, type Composition } from './energy';
export { sayGrams, sayUnits, toGrams, toHandUnits, type HandUnit } from './handUnit';
export { compared, type Compared } from './compare';
export {
  mealSteps,
  prepared,
  sayMinutes,
  sayPreparation,
  type InWater,
  type Prepared,
} from './prepare';
export {
  endOn,
  fits,
  onlyBinds,
  takes,
  type Eater,
  type Fit,
  type Offer,
  type Taking,
} from './suits';
export { unitMass, type UnitMass, type Weighing } from './weighIn';
