export { CONCERN_MG_L, unionisedShare } from './ammonia';
export { changeTo, mixed, mixFor, stepsTo, type MixedWater, type RefillStep } from './mix';
export { bringDown, maxAtOnce, type DownStep } from './bringDown';
export {
  quantileOf,
  type UptakePrior,
  type WaterCourse,
  type WaterFit,
  type WaterTest,
} from './course';
export { fitWater } from './fit';
export { forecastWater, type WaterDay } from './forecast';
export { NITRATE_PER_N, nitrogenOfProtein, PROTEIN_PER_N, STANDS_MG_L } from './nitrogen';
export { nitrogenMg } from './served';
export { ripeOn, ripening, type Ripening, type RipeningDay } from './ripening';
export {
  addsFor,
  afterFillingUp,
  everyFor,
  peakOf,
  sawTooth,
  shareFor,
  troughOf,
  type Change,
  type Rhythm,
} from './sawTooth';
export { changeFor, hoursUntilConcern, type Unfiltered } from './unfiltered';
export { READING_RANGE, READINGS, unitMixedUp, type Reading } from './range';
export { READING_UNITS, STRIPS, toReading, type StripStep } from './reading';
export { USUAL_RHYTHM, type WaterRhythm } from './rhythm';
export { MAX_STEP_C, refillOf, USUAL_BUCKET_L, type Refill, type RefillWater } from './refill';
export {
  FORECAST_DAYS,
  LOOK_BACK_DAYS,
  computeWaterStatus,
  WATER_EVENTS,
  type NextChange,
  type Readings,
  type WaterEvent,
  type WaterEventKind,
  type WaterStatus,
  type WaterTask,
  type WaterWarning,
} from './status';
export { keepsUnder, type Keeps } from './keeps';
export {
  openRefills,
  planTrigger,
  refusedSteps,
  TRIGGER_DOES,
  type TriggerRefill,
  type TriggerStep,
} from './trigger';
export { testBand, testSd } from './testError';
export { UPTAKE } from './uptake';
