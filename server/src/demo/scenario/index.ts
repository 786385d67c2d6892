/**
 * «The Weir Room»: a shed beside a mill stream. Invented people, places and foods;
 * days are counted back from today.
 */
export const HISTORY_DAYS = 56;

export { BROODS } from './broods';
export { GROUPS, type DemoGroup } from './groups';
export { GREEN_GEL } from './kitchen';
export { LOOKS } from './looks';
export { MOMENTS, type MomentKey } from './moments';
export { SEEN, type DemoSeen } from './seen';
export { SHELF } from './shelf';
export { VESSELS, type DemoVessel } from './vessels';
export { WATER } from './water';
export { TANKS, type DemoTank } from './tanks';
export { LEDGER } from './ledger';
