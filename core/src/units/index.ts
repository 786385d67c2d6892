export { readDaysAt, formatDays, type DaysAt, type DaysReading } from './daysAt';
export { assertRange, OutOfRange } from './range';
export {
  formatQuantity,
  METRIC,
  formatMgL,
  formatNumber,
  formatSignificant,
  scaleOf,
  type Measure,
  type Scale,
  type UnitChoice,
} from './measures';
export { readMeasure, readNumberAlone, type Reading } from './reading';
