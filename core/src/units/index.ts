export { assertRange, OutOfRange } from './range';
export { METRIC, scaleOf, shownScale, type Measure, type Scale, type UnitChoice } from './measures';
export { parseMeasure, parseNumber, type Parsed, type ReadError } from './reading';
