export { together } from './together';
export { BODY_DEPTH, type CompanyTraits, type Mate, type Together } from './mate';
export type { TankConditions } from './water';
