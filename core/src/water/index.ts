export { CONCERN_MG_L, unionisedShare } from './ammonia';
export { changeTo, mixed, mixFor, stepsTo, type MixedWater, type TriggerStep } from './mix';
export {
  fitWater,
  forecastWater,
  testSd,
  type WaterDay,
  type WaterFit,
  type WaterTest,
} from './fit';
export { NITRATE_PER_N, PROTEIN_PER_N, TAN_OF_PROTEIN, STANDS_MG_L } from './nitrogen';
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
