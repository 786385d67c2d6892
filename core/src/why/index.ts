export { assumed, computed, measured, worded, type Known, type Why } from './why';
export { leaves } from './leaves';
