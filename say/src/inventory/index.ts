export * from './inventory';
export type { TankFacts } from './tankFacts';
