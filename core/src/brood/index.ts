export {
  hatching,
  progressPerDay,
  type EggTraits,
  type SeenEggs,
  type Window,
} from './development';
export { ladderOf, type Prey, type Rung } from './ladder';
export { daysToLength, growthOf, youngLengthCm, type YoungTraits } from './length';
export { LARVAL_GAPE, WIDEST_OF_GAPE, widestPreyUm } from './mouth';
export { changeFor, CONCERN_MG_L, hoursUntilConcern, unionisedShare, type FryTub } from './water';
export { broodOn, type BroodEvent, type BroodState } from './line';
export { fryPortion, type FryDay, type FryFood, type FryPortion } from './portion';
export { broodTraits, type BroodTraits } from './traits';
export { changeTo, mixed, mixFor, stepsTo, type MixedWater, type TriggerStep } from './mix';
