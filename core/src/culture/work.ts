import type { Vessel, VesselStatus } from './types';
import type { WorkKind } from './vocabulary';
import { isFromEggs, wayOf } from './ways';

export { UNKNOWN_AFTER } from './tasks';

/** Why something is to be done at a vessel, with its figures; days are whole. */
export type WorkReason =
  | { is: 'changedSince' | 'foul' | 'hatched' }
  /** Days since it was fed; null where it never was. */
  | { is: 'feedDue'; with: string; rule: string; ifClear: boolean; fedDays: number | null }
  | { is: 'changeDue'; rule: string; changedDays: number | null }
  /** `guess` where its figures rest on too long a time. */
  | { is: 'unseen'; days: number; guess: boolean }
  | { is: 'crowded'; fullness: number }
  /** In so many days; less than none where it fades already. */
  | { is: 'fades'; inDays: number }
  | { is: 'crashed'; fromEggs: boolean }
  | { is: 'spent'; days: number; fromEggs: boolean };

/** Something to do at a vessel today, with why. */
export interface Work {
  what: WorkKind;
  because: WorkReason;
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
    const fromEggs = isFromEggs(kind);
    const crashed = state === 'crashed';
    const because: WorkReason = crashed
      ? { is: 'crashed', fromEggs }
      : { is: 'spent', days: status.ageDays, fromEggs };
    return [{ what: 'restart', because, urgent: crashed }];
  }
  return wayOf(kind)
    .tasks(vessel, status, day, nowMs)
    .sort((a, b) => Number(b.urgent) - Number(a.urgent));
}
