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
    work.push({
      what: 'look',
      says: 'Look whether it has cleared, before it is fed',
      why: 'Its water was foul, and was changed.',
      urgent: false,
    });
  } else if (foul) {
    work.push({
      what: 'clear',
      says: 'No food; change a third of its water',
      why: 'Its water was foul: food rots in it.',
      urgent: true,
    });
  }
  const due = kind.feedDays !== null && (status.fedDays ?? status.ageDays) >= kind.feedDays;
  if (due && !foul && !(kind.clears && cloudy)) {
    work.push({
      what: 'feed',
      says: kind.clears ? `Feed, if it is clear: ${kind.feedWith}` : `Feed: ${kind.feedWith}`,
      why: `${status.fedDays === null ? 'Not fed since it was started' : `Fed ${ago(status.fedDays)}`}; ${kind.feedRule}.`,
      urgent: kind.feedDays! > 0 && (status.fedDays ?? status.ageDays) > 3 * kind.feedDays!,
    });
  }
  const unchanged = status.changedDays ?? status.ageDays;
  if (kind.changeDays !== null && unchanged >= kind.changeDays && !foul) {
    work.push({
      what: 'change',
      says: `Change water: ${kind.waterChange}`,
      why: `${status.changedDays === null ? 'Not changed since it was started' : `Changed ${ago(unchanged)}`}.`,
      urgent: unchanged >= 2 * kind.changeDays,
    });
  }
  return work;
}

/** What grows until it is crowded is looked at: its figures rest on that. */
export function lookTask(status: VesselStatus): Work[] {
  if (isFoul(status) || status.unseenDays < LOOK_EVERY) return [];
  return [
    {
      what: 'look',
      says: 'Look how dense it is',
      why:
        status.unseenDays >= UNKNOWN_AFTER
          ? `Not checked for ${days(status.unseenDays)}: its figures are guesses.`
          : `Not checked for ${days(status.unseenDays)}.`,
      urgent: status.unseenDays >= UNKNOWN_AFTER,
    },
  ];
}

/** And thinned before it crashes. */
export function thinTask(status: VesselStatus): Work[] {
  if (status.fullness < CROWDED || status.givesG <= 0) return [];
  return [
    {
      what: 'thin',
      says: 'Harvest or split it',
      why: `It is ${Math.round(status.fullness * 100)} % full: crowded cultures crash.`,
      urgent: status.fullness >= 0.9,
    },
  ];
}

/** Of eggs in brine: they have hatched. @param nowMs ms since 1970 */
export function hatchTasks({ hatchesAtMs, contentG }: VesselStatus, nowMs: number): Work[] {
  if (hatchesAtMs === null || nowMs < hatchesAtMs) return [];
  const old = nowMs - hatchesAtMs > 12 * 3_600_000;
  if (contentG <= 0 && !old) return [];
  return [
    {
      what: 'hatched',
      says: 'Harvest, rinse with fresh water, then serve or keep it cold',
      why: 'It has hatched; each loses a quarter of its energy in the first day.',
      urgent: old,
    },
  ];
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
  return [
    {
      what: 'next',
      says: 'Start the next one from it',
      why:
        left <= 0
          ? `It fades since ${days(Math.round(-left))}.`
          : `It begins to fade in ${days(Math.max(1, Math.round(left)))}.`,
      urgent: left <= 0,
    },
  ];
}

const days = (count: number): string => `${count} ${count === 1 ? 'day' : 'days'}`;
const ago = (count: number): string =>
  count === 0 ? 'today' : count === 1 ? 'yesterday' : `${days(count)} ago`;
