export { readDaysAt, sayDays, type DaysAt, type DaysReading } from './daysAt';
export { assertRange, OutOfRange } from './range';
export {
  say,
  sayNumber,
  saySignificant,
  scaleOf,
  type Measure,
  type Scale,
  type UnitChoice,
} from './measures';
export { readMeasure, readNumberAlone, type Reading } from './reading';
