export { hasOwnPair, lengthFromMass, massFromLength, type BodyMass } from './mass';
export { eatsNothing, hasLarvalGut, mayNotFast, STAGES, type Stage } from './stage';
export { assumedLengthCm, impossibleLength } from './assumedLength';
