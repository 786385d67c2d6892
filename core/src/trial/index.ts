export { dealt, type Side } from './assign';
export { TRIAL_KINDS, type TrialKind } from './kinds';
export { fishByWeeks, fishFor, powerOf, type TrialPlan } from './power';
export {
  beforeAfter,
  compared,
  LEAST_EACH,
  type Span,
  type TrialRefusal,
  type TrialResult,
} from './result';
export {
  LOOKED_AT_WEEKS,
  standOfTrial,
  USUAL_CV,
  type SideStand,
  type TrialSide,
  type TrialStand,
  type TrialTask,
} from './stand';
