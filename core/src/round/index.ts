export {
  addDays,
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
export { dietFindings, type Finding } from './findings';
export { MOST_AFTER_MIN, MOST_SPOTS, PLAIN, sayManner, type Manner } from './manner';
export type { Diet, DietServing, House, HouseGroup, HouseTank } from './plan';
