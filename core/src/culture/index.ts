export { goodFor, inTurn, type Batch } from './batch';
export {
  COLD_MOST_H,
  CYSTS_PER_G,
  energyLeft,
  HATCH_SHARE,
  hatchHours,
  jarFor,
  MAX_CYSTS_G_L,
  NAUPLIUS_UG,
  SALT_G_L,
  staggered,
  type Jar,
} from './hatch';
export { backupsFor, crashHazard, vesselsFor, type Cause, type Strain } from './hazard';
export {
  daysUntil,
  grown,
  lastingHarvest,
  leftForMost,
  safeHarvest,
  type Logistic,
} from './logistic';
export { atWarmth, type ByWarmth } from './warmth';
export { yieldShare, type Plateau } from './worms';
export {
  COUNT_SD,
  DENSITIES,
  estimate,
  LOOK_SD,
  type Density,
  type BeliefEvent,
  type Estimate,
} from './estimate';
export { dailySupply } from './daily';
export { forecast } from './forecast';
export { gramsOfOne, logisticOf, plateauOf, type Growing } from './kind';
export { leadOf, outlook, planSupply, type Outlook, type SupplyPlan } from './supply';
export { afterHarvest, HARVEST_G, harvestG, type Aftermath } from './harvest';
export { insteadOf, type Dead, type Instead } from './instead';
export { familyOf, sharing, type InFamily, type Kin, type Shared, type Tie } from './kin';
export { countedJars, hatchShareOf, shareAfter, type CountedJar } from './learn';
export { AHEAD_DAYS, computeVesselStatus, forecastStartOf } from './vessel';
export type {
  CultureDay,
  VesselEvent,
  ForecastStart,
  Supplying,
  Vessel,
  VesselStatus,
  VesselState,
} from './types';
export { isFromEggs, START_SHARE, wayOf } from './ways';
export { UNKNOWN_AFTER, workOn, type Work, type WorkReason } from './work';
export {
  CLARITIES,
  GIVES_NOTHING,
  HARVEST_BY,
  WORKS,
  type Clarity,
  type HarvestBy,
  type WorkKind,
} from './vocabulary';
export {
  SUPPLY_DAYS,
  supplyOf,
  type FoodSupply,
  type Jars,
  type LiveFood,
  type SupplyTask,
} from './needs';
