export { massFromLength, type BodyMass } from './mass';
export { eatsNothing, hasLarvalGut, mayNotFast, STAGES, type Stage } from './stage';
export { sizeOn, type GroupSize, type SizeEvent } from './count';
export { assumedLengthCm } from './assumedLength';
