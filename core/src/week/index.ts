export { aimsOf, CAPPED_PER_WEEK, ENERGY_BAND, type Aim, type AimKind } from './aims';
export { helpFor, type Help } from './help/help';
export { solverOf } from './help/highs';
export { programmeOf } from './help/programme';
export type { Solver } from './help/mip';
export {
  cellsOf,
  changeOn,
  moveOn,
  copyDay,
  put,
  relaid,
  repeatOn,
  servingsFrom,
  takeOut,
  type Cell,
  type Line,
} from './cells';
export { converted, type Converted, type StyledDiet } from './convert';
export {
  dryRun,
  type DryFood,
  type DryGroup,
  type DryRun,
  type DryTank,
  type DryTankResult,
} from './dryRun/dryRun';
export type { Range } from './dryRun/growth';
export { estimated, type GotByDay } from './estimate';
export { fastEffects, type FastEffect } from './fasting';
export {
  allApplied,
  brokenRules,
  fitted,
  improve,
  IMPROVE_WAYS,
  NO_PINS,
  pinsOf,
  workMin,
  type ActReason,
  type Broken,
  type Improved,
  type Improvements,
  type ImproveOptions,
  type ImproveWay,
  type Pins,
  type PlanAct,
} from './improve';
export { gravityOf, judged, withServings, type Judged } from './judge';
export {
  dayOutcome,
  newMemory,
  nitrateOf,
  weekOutcome,
  type DayOutcome,
  type GroupOutcome,
  type Memory,
  type WeekOutcome,
} from './outcome';
export {
  batchesOf,
  preparing,
  type PreparedFood,
  type PreparedMeal,
  type Preparing,
  type PutBy,
} from './prepare';
export {
  choicesOf,
  liftAfter,
  FEEDING_STYLES,
  FEEDING_STYLE_KEYS,
  usualFeedingStyle,
  type Because,
  type FeedingStyle,
  type FeedingStyleKey,
  type Usual,
} from './feedingStyle';
export { isLit, momentsToAdd } from './litMoments';
export {
  feedsInTheDark,
  foodsByFit,
  laidOut,
  startingPlan,
  suitsWell,
  usualServings,
  type Role,
  type StartingLine,
} from './starting';
export { tankOf, type ShelfFood, type WeekGroup, type WeekTask } from './task';
export { workOf } from './work';
