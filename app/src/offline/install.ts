import { ACTIVATE, OUTBOX_SYNC } from './messages';

/** A page looks for a new build so often, beside each time that it is opened. */
const LOOK_MS = 3_600_000;
/** A page that was opened so recently has nothing half done on it. */
const JUST_OPENED_MS = 4000;

let registration: ServiceWorkerRegistration | null = null;
let waiting: ServiceWorker | null = null;
const listeners = new Set<() => void>();

/** Whether another build is on the device and waits for this page to let it. */
export const newBuildWaits = (): boolean => waiting !== null;

export function onNewBuild(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** Put the app on the device, so that it opens without a connection; once the page has come to rest. */
export async function install(): Promise<void> {
  const { serviceWorker } = navigator;
  // Over plain http a browser offers none, except on the machine itself.
  if (!serviceWorker) return;
  registration = await serviceWorker.register('/sw.js');
  const found = (worker: ServiceWorker | null) => {
    // The very first one replaces nothing.
    if (!worker || !serviceWorker.controller) return;
    waiting = worker;
    if (performance.now() < JUST_OPENED_MS) void takeNewBuild();
    else listeners.forEach((listener) => listener());
  };
  found(registration.waiting);
  registration.addEventListener('updatefound', () => {
    const next = registration!.installing;
    next?.addEventListener('statechange', () => {
      if (next.state === 'installed') found(next);
    });
  });
  setInterval(() => void registration!.update().catch(() => undefined), LOOK_MS);
  await navigator.storage?.persist?.();
}

/** Go on with the new build. What is half typed is on the device, and is there again. */
export async function takeNewBuild(): Promise<void> {
  if (!waiting) return;
  const changed = new Promise((resolve) =>
    navigator.serviceWorker.addEventListener('controllerchange', resolve, { once: true }),
  );
  waiting.postMessage(ACTIVATE);
  await changed;
  location.reload();
}

/** Ask the browser to send what waits also when no page is open, where it can. */
export async function sendInBackground(): Promise<void> {
  const { sync } = (registration ?? {}) as { sync?: { register: (tag: string) => Promise<void> } };
  await sync?.register(OUTBOX_SYNC).catch(() => undefined);
}
