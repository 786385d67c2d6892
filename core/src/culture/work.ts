import type { Vessel, VesselStatus } from './types';
import type { WorkKind } from './vocabulary';
import { isFromEggs, wayOf } from './ways';

export { UNKNOWN_AFTER } from './tasks';

/** Something to do at a vessel today, with why. */
export interface Work {
  what: WorkKind;
  /** What is to be done, as a keeper would say it. */
  says: string;
  why: string;
  /** More than the usual rhythm: it gets worse from day to day. */
  urgent: boolean;
}

/**
 * What is to be done at a vessel today, the pressing first.
 * @param nowMs of a hatch, whether it is ready: ms since 1970
 */
export function workOn(vessel: Vessel, status: VesselStatus, day: string, nowMs: number): Work[] {
  const { kind } = vessel;
  const { state } = status;
  if (state === 'ended' || state === 'resting') return [];
  if (state === 'crashed' || state === 'over') {
    return [
      {
        what: 'restart',
        says: isFromEggs(kind) ? 'Rinse it, and set it up anew' : 'Clean it, and start anew',
        why: state === 'crashed' ? 'It crashed.' : `It is ${status.ageDays} days old and spent.`,
        urgent: state === 'crashed',
      },
    ];
  }
  return wayOf(kind)
    .tasks(vessel, status, day, nowMs)
    .sort((a, b) => Number(b.urgent) - Number(a.urgent));
}
