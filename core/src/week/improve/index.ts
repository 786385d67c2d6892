export { allApplied, type ActReason, type PlanAct } from './acts';
export { NO_PINS, pinsOf, type Pins } from './pins';
export {
  fitted,
  improve,
  workMin,
  type Improved,
  type Improvements,
  type ImproveOptions,
} from './improve';
export { brokenRules, type Broken } from './rules';
export { IMPROVE_WAYS, type ImproveWay } from './ways';
