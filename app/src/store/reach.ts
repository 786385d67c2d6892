/** Whether the server was reached when it was last asked. */
let lost = false;
/** When what is shown in its place was read, in ms; null while all that is shown is of now. */
let asOfMs: number | null = null;
const listeners = new Set<() => void>();

export interface Reach {
  lost: boolean;
  asOfMs: number | null;
}
let now: Reach = { lost, asOfMs };

function set(nextLost: boolean, nextAsOf: number | null): void {
  if (nextLost === lost && nextAsOf === asOfMs) return;
  [lost, asOfMs] = [nextLost, nextAsOf];
  now = { lost, asOfMs };
  for (const listener of listeners) listener();
}

export const reachNow = (): Reach => now;

export function onReachChange(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

export const reached = (): void => set(false, null);
export const notReached = (): void => set(true, asOfMs);
/** Something is shown as it was kept on the device. The oldest of what is shown counts. */
export const shownAsOf = (readMs: number): void => set(lost, Math.min(readMs, asOfMs ?? Infinity));
