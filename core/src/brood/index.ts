export {
  hatching,
  progressPerDay,
  type EggTraits,
  type SeenEggs,
  type Window,
} from './development';
export { afterClutches, clutchOf, type Clutch } from './clutches';
export { nextOf, stagesOf, swimsOn, type Dated } from './dates';
export { ladderOf, usualUm, type Prey, type Rung } from './ladder';
export { daysToLength, slowAndFast, youngLengthCm, type YoungTraits } from './length';
export { LARVAL_GAPE, WIDEST_OF_GAPE, widestPreyUm } from './mouth';
export { broodOn, warmthOn, type BroodEvent, type BroodState, type TubState } from './line';
export { defaultFirstFood, menuOf, type BroodFood } from './menu';
export {
  programmeOf,
  RICH_PROTEIN,
  SKIN_DRY_CM,
  youngDietOf,
  type NeverFood,
  type Programme,
  type YoungDiet,
} from './programme';
export { fryPortion, type FryDay, type FryFood, type FryPortion } from './portion';
export { broodTraits, type BroodTraits } from './traits';
export { pairRecord, type ClutchRecord, type PairRecord, type Trouble } from './record';
export { FIGHT_FROM, type BroodCheckpoint } from './checkpoints';
export {
  isAbsurd,
  raisable,
  RAISE_LIMITS,
  safeBesideCm,
  type FeedingModel as RaisingHouse,
  type Raisable,
  type RaiseLimit,
  type RaiseNeed,
} from './raise';
export {
  DEMAND_DAYS,
  LADDER_DAYS,
  computeBroodStatus,
  type BroodStatus,
  type BroodTask,
  type BroodTub,
  type NeedAt,
  type RungDay,
} from './status';
export type { Feed } from './feeds';
export { fryTimes, litMinutes, type Lit, type Presence } from './fryTimes';
export type { FryMeal, FryServing } from './meals';
export { conditioningEndsOn, parentsOn, portionOfGroup, type ParentsDay } from './parents';
export type { ServedToTub, TubStatus } from './tubs';
export { MINUTES_A_CHANGE, MINUTES_A_MEAL, type WeekAhead } from './weeks';
export { litresFor, MAX_CM_PER_L, spreadOf, survivalOf, wantsSorting } from './tub';
export { broodWork, type BroodReason, type BroodWork } from './work';
export { conditioned, type Conditioned, type Conditioning } from './conditioning';
export * from './vocabulary';
