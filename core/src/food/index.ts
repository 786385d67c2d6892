export { carbohydrate, digestibleEnergy, type Composition } from './energy';
export { sayGrams, sayUnits, toGrams, toHandUnits, type HandUnit } from './handUnit';
export { ofDryMatter, readLabel, type Label, type LabelPart, type Nutrient } from './label';
export { compared, type Compared } from './compare';
