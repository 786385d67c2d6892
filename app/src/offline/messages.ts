/** Said to a new build that waits: the page is ready for it. */
export const ACTIVATE = 'activate';
/** What the browser wakes the service worker with as the network is back. */
export const OUTBOX_SYNC = 'open-larder.outbox';
