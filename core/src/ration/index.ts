export {
  BELLIES,
  BELLY_HOLDS_DAYS,
  BELLY_WORDS,
  bellyFactor,
  LOOK_AGAIN_DAYS,
  type Belly,
} from './belly';
export {
  dailyNeed,
  feedingStopsC,
  lengthOf,
  maintenanceKj,
  massSpread,
  needSpread,
  stageFactor,
  warmthFactor,
  type GroupOnDay,
  type SpeciesTraits,
} from './need';
export {
  evacuationPerHour,
  hoursUntilHungry,
  largestMeal,
  longestSafeGap,
  mealsPerDay,
} from './gut';
export { fastFactor } from './fasting';
export { besideRation, portion, type Food, type Portion } from './portion';
export { QUIET_ROUNDING } from './rounding';
