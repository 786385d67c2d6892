export { randomised, type Side } from './assign';
export { TRIAL_KINDS, type TrialKind } from './kinds';
export { fishByWeeks, fishFor, powerOf, type TrialPlan } from './power';
export {
  beforeAfter,
  compared,
  MIN_EACH,
  type Span,
  type TrialRefusal,
  type TrialResult,
} from './result';
export {
  LOOKED_AT_WEEKS,
  computeTrialStatus,
  USUAL_CV,
  type SideStatus,
  type TrialSide,
  type TrialStatus,
  type TrialTask,
} from './status';
