export { CONCERN_MG_L, unionisedShare } from './ammonia';
export { changeTo, mixed, mixFor, stepsTo, type MixedWater, type TriggerStep } from './mix';
export { NITRATE_PER_N, PROTEIN_PER_N, TAN_OF_PROTEIN, STANDS_MG_L } from './nitrogen';
export { changeFor, hoursUntilConcern, type Unfiltered } from './unfiltered';
