import {
  cleanupOutdatedCaches,
  createHandlerBoundToURL,
  precacheAndRoute,
} from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';
import { openDevice } from './device';
import { ACTIVATE, OUTBOX_SYNC } from './messages';
import { Here } from './here';

/** What of a service worker’s surroundings is used here: the page’s types do not know them. */
interface Surroundings {
  /** Every file of the build, filled in as it is built. */
  __WB_MANIFEST: { url: string; revision: string | null }[];
  addEventListener: ((type: 'message', listener: (event: MessageEvent<unknown>) => void) => void) &
    ((type: 'activate', listener: (event: Waiting) => void) => void) &
    ((type: 'sync', listener: (event: Waiting & { tag: string }) => void) => void);
  skipWaiting: () => Promise<void>;
  clients: {
    claim: () => Promise<void>;
    matchAll: (of: { type: 'window' }) => Promise<readonly { visibilityState: string }[]>;
  };
}
interface Waiting {
  waitUntil: (work: Promise<unknown>) => void;
}
declare const self: Surroundings;

// The app as it was built, whole: it opens without a connection, and no part of it is of another build.
precacheAndRoute(self.__WB_MANIFEST);
cleanupOutdatedCaches();
registerRoute(
  new NavigationRoute(createHandlerBoundToURL('/index.html'), { denylist: [/^\/api\//] }),
);

self.addEventListener('message', ({ data }) => {
  // A new build takes over when the page says so: never under a form that is being filled in.
  if (data === ACTIVATE) void self.skipWaiting();
});
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));
self.addEventListener('sync', (event) => {
  if (event.tag === OUTBOX_SYNC) event.waitUntil(sendWhatWaits());
});

/** Send what waits on the device: the network is back, and perhaps no page is open. */
async function sendWhatWaits(): Promise<void> {
  // A page that is looked at sends by itself, and knows more: whether its clock was set meanwhile.
  const pages = await self.clients.matchAll({ type: 'window' });
  if (pages.some(({ visibilityState }) => visibilityState === 'visible')) return;
  const device = await openDevice();
  const [whose, timeZone] = [await device.note('whose'), await device.note('timeZone')];
  if (whose === undefined || timeZone === undefined) return;
  const here = new Here(device, null);
  await here.belongTo({ whose, timeZone });
  await here.outbox.pass();
  const left = here.kept().some(({ problem }) => problem === null);
  // The browser then tries again later, by itself.
  if (left) throw new Error('not all could be sent');
}
