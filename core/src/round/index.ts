export {
  addDays,
  daysBetween,
  hoursOfLight,
  instantOf,
  wallMinutes,
  weekdayOf,
  type LightHours,
  type Moment,
} from './clock';
export {
  compileGroupDay,
  groupOnDay,
  restOn,
  type DueServing,
  type GroupDay,
  type Rest,
} from './day';
export {
  compileRound,
  servingKey,
  type Round,
  type RoundMoment,
  type RoundServing,
  type RoundStop,
} from './compile';
export { periodOn, restsIn, type Period, type PeriodWhen } from './period';
export { dayOfCycle, MAX_CYCLE_DAYS, WEEK, type Cycle } from './cycle';
export {
  fastOn,
  fastsOf,
  refusedFasts,
  unsafeFasts,
  type Faster,
  type FastRefusal,
  type FastWhen,
  type PlannedFast,
  type UnsafeFast,
} from './fast';
export { feedingDay, type DayTime } from './feedingDay';
export { withFewerDays, type FewerDays } from './fewerDays';
export { dietFindings, isWorthSaying, type Finding } from './findings';
export { lateAdvice, type LateAdvice } from './late';
export { MAX_AFTER_MIN, MAX_SPOTS, PLAIN, mannerKey, type Manner } from './manner';
export { TRAINING_STEPS, trainingOn, type Tasting, type Training } from './training';
export {
  NO_PLAN,
  type Diet,
  type DietServing,
  type FoodRule,
  type FeedingModel,
  type HouseGroup,
  type HouseTank,
  type InTraining,
  type TankPlan,
} from './plan';
