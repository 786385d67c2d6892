import { daysBetween } from '../round';
import { plateauOf } from './kind';
import type { Vessel, VesselStatus } from './types';
import type { Work } from './work';

/** A culture that grows is looked at once a week at the least. Assumption. */
const LOOK_EVERY = 7;
/** Unseen for so long, its figures are guesses. Assumption. */
export const UNKNOWN_AFTER = 30;
/** From here on it is crowded: thin it out or split it. Assumption. */
const CROWDED = 0.75;
/** So many days before a culture fades the next one is started, and so it overlaps. Assumption. */
const NEXT_AHEAD = 4;

/** Its water was foul of late: food would rot in it. */
const isFoul = ({ clarity }: VesselStatus): boolean =>
  clarity !== null && clarity.seen === 'foul' && clarity.days <= 2;

/** What is to be done at any culture: its water, its food. */
export function commonTasks({ kind }: Vessel, status: VesselStatus): Work[] {
  const { clarity } = status;
  const foul = isFoul(status);
  const work: Work[] = [];
  const cloudy = clarity !== null && clarity.seen === 'cloudy' && clarity.days === 0;
  // Its water was changed since: now it is to be looked at again.
  const changed =
    clarity !== null && status.changedDays !== null && status.changedDays <= clarity.days;
  if (foul && changed) {
    work.push({ what: 'look', because: { is: 'changedSince' }, urgent: false });
  } else if (foul) {
    work.push({ what: 'clear', because: { is: 'foul' }, urgent: true });
  }
  const due = kind.feedDays !== null && (status.fedDays ?? status.ageDays) >= kind.feedDays;
  if (due && !foul && !(kind.clears && cloudy)) {
    work.push({
      what: 'feed',
      because: {
        is: 'feedDue',
        with: kind.feedWith,
        rule: kind.feedRule,
        ifClear: kind.clears,
        fedDays: status.fedDays,
      },
      urgent: kind.feedDays! > 0 && (status.fedDays ?? status.ageDays) > 3 * kind.feedDays!,
    });
  }
  const unchanged = status.changedDays ?? status.ageDays;
  if (kind.changeDays !== null && unchanged >= kind.changeDays && !foul) {
    work.push({
      what: 'change',
      because: { is: 'changeDue', rule: kind.waterChange, changedDays: status.changedDays },
      urgent: unchanged >= 2 * kind.changeDays,
    });
  }
  return work;
}

/** What grows until it is crowded is looked at: its figures rest on that. */
export function lookTask(status: VesselStatus): Work[] {
  if (isFoul(status) || status.unseenDays < LOOK_EVERY) return [];
  const days = status.unseenDays;
  const guess = days >= UNKNOWN_AFTER;
  return [{ what: 'look', because: { is: 'unseen', days, guess }, urgent: guess }];
}

/** And thinned before it crashes. */
export function thinTask(status: VesselStatus): Work[] {
  if (status.fullness < CROWDED || status.givesG <= 0) return [];
  const { fullness } = status;
  return [{ what: 'thin', because: { is: 'crowded', fullness }, urgent: fullness >= 0.9 }];
}

/** Of eggs in brine: they have hatched. @param nowMs ms since 1970 */
export function hatchTasks({ hatchesAtMs, contentG }: VesselStatus, nowMs: number): Work[] {
  if (hatchesAtMs === null || nowMs < hatchesAtMs) return [];
  const old = nowMs - hatchesAtMs > 12 * 3_600_000;
  if (contentG <= 0 && !old) return [];
  return [{ what: 'hatched', because: { is: 'hatched' }, urgent: old }];
}

/** A culture that fades is followed by the next, started from it in time. */
export function nextTask(
  { kind, startedOn, events }: Vessel,
  status: VesselStatus,
  day: string,
): Work[] {
  const plateau = plateauOf(kind);
  const speed = 2 ** ((status.tempC - plateau.refC) / 10);
  const left = plateau.fadeDays / speed - status.ageDays;
  if (left > NEXT_AHEAD || plateau.fadeDays > 300) return [];
  // One that was split of late has its next already.
  const since = events.findLast(({ kind: what }) => what === 'split')?.day;
  if (since !== undefined && since > startedOn && daysBetween(since, day) < 14) return [];
  const inDays = left <= 0 ? Math.round(left) : Math.max(1, Math.round(left));
  return [{ what: 'next', because: { is: 'fades', inDays }, urgent: left <= 0 }];
}
