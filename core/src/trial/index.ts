export { dealt, type Side } from './assign';
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
  standOfTrial,
  TRIAL_KINDS,
  type SideStand,
  type TrialKind,
  type TrialSide,
  type TrialStand,
  type TrialTask,
} from './stand';
