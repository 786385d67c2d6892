export { asAppRole } from './appRole';
export { connect } from './connect';
export { migrate } from './migrate';
export { AT, eventLog } from './eventLog';
export { cutPage, readCursor } from './page';
export { Registry } from './registry';
export { Scope, UNREADABLE } from './scope';
export { watchDatabase, type DatabaseWatch } from './watch';
