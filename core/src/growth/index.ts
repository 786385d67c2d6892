export {
  CURVES,
  fitCurve,
  MIN_DAYS,
  lengthOn,
  reaches,
  type Curve,
  type CurveKind,
  type Fitted,
  type Point,
  type Reached,
  type Refusal,
} from './curve';
export { type Checkpoint, type CheckpointStatus } from './checkpoint';
export { conditionWord, foodConversion, relativeCondition, specificGrowthRate } from './rates';
export { byDay, RULER_OFF, sampleOf, type Measured, type Sample } from './sample';
export { photoLength, type PhotoLength, type RulerMark, type Spot } from './scale';
export { daysGrown, grownSince } from './sinceMeasured';
export { SORT_FROM_CV, sortingOf, type Sorting } from './sort';
export { usualLength } from './usual';
export { survivalOf, type Survival } from './survival';
export {
  curveOn,
  lengthAhead,
  computeGrowthStatus,
  type DaySample,
  type GrowthStatus,
  type GrowthTask,
  type Reaching,
  type Weighed,
} from './status';
