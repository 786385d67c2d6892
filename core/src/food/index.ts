export { carbohydrate, digestibleEnergy, type Composition } from './energy';
export { sayGrams, sayUnits, toGrams, toHandUnits, type HandUnit } from './handUnit';
