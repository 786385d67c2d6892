export { ensureHousehold } from './household';
