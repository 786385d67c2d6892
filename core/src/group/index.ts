export {
  CAUSES,
  firstBreak,
  SIZE_KINDS,
  sizeOn,
  type Cause,
  type Counts,
  type GroupSize,
  type SizeEvent,
  type SizeKind,
} from './size';
export {
  isSize,
  LIFE_KINDS,
  lifeFault,
  stateOn,
  staysOf,
  type GroupState,
  type LifeEvent,
  type LifeFault,
  type LifeKind,
  type Stay,
} from './life';
