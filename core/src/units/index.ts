export { assertRange } from './range';
export { say, sayNumber, saySignificant, scaleOf, type Measure, type UnitSystem } from './measures';
