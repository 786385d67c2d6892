export type { GrownFrom } from './grownFrom';
export { hasOwnPair, lengthFromMass, massFromLength, type BodyMass } from './mass';
export { eatsNothing, grows, hasLarvalGut, mayNotFast, STAGES, type Stage } from './stage';
export { assumedLengthCm, lengthDoubt } from './assumedLength';
