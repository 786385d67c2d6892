export { aimsOf, CAPPED_PER_WEEK, ENERGY_BAND, type Aim, type AimKind } from './aims';
export { balance, type Balanced, type BalanceOptions, type Progress } from './balance/balance';
export { helpFor, type Help } from './balance/help';
export { solverOf } from './balance/highs';
export { modelOf } from './balance/model';
export { offersOf } from './balance/offers';
export type { Solver } from './balance/mip';
export {
  accepted,
  cellsOf,
  changeOn,
  changesBetween,
  copyDay,
  put,
  relaid,
  repeatOn,
  servingsFrom,
  takeOut,
  type Cell,
  type CellChange,
  type Line,
} from './cells';
export { judged, withServings, type Judged } from './judge';
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
  choicesOf,
  liftAfter,
  SCHOOLS,
  SCHOOL_KEYS,
  usualSchool,
  type Because,
  type School,
  type SchoolKey,
  type Usual,
} from './school';
export { tankOf, type ShelfFood, type WeekGroup, type WeekTask } from './task';
export { servingMin } from './work';
