import type { CultureKind } from '@open-larder/catalogue/cultures';
import { daysBetween } from '../round';
import { crashHazard } from './hazard';
import { hatchHours } from './hatch';
import type { VesselEvent, ForecastStart, Vessel, VesselStatus } from './types';
import { GIVES_NOTHING } from './vocabulary';
import { isFromEggs, wayOf } from './ways';

/** A temperature that was read holds for so many days back, and ahead. Assumptions. */
const WARMTH_HOLDS = 7;
const WARMTH_AHEAD = 3;
/** Older than this a culture is as old as that. */
const OLDEST_DAYS = 3000;
/** Days for which temperatures are reported ahead. */
export const AHEAD_DAYS = 42;
/** Two kinds in one vessel share it. Assumption: halves, until one has the better of the other. */
const SHARED = 0.5;
/**
 * The status of a vessel on a day, from all that happened to it up to then.
 * @param day after its start; a day before it counts as its start
 */
export function computeVesselStatus(vessel: Vessel, day: string): VesselStatus {
  const { kind } = vessel;
  const past = vessel.events.filter((event) => event.day <= day);
  const again = past.findLastIndex(({ kind: what }) => what === 'restarted');
  const restart = past[again];
  const since = past.slice(again + 1);
  const startedOn = restart?.day ?? vessel.startedOn;
  const startG = restart?.kind === 'restarted' ? restart.massG : vessel.startG;
  const ageOf = (on: string) => Math.min(OLDEST_DAYS, Math.max(0, daysBetween(startedOn, on)));
  const ageDays = ageOf(day);
  const measure = shareOf(vessel.measure, vessel.also !== null);
  const tempOn = temperatures(vessel, past, startedOn);
  const tempC = tempOn(ageDays);
  const last = lastOf(since, ageDays, ageOf);
  const held = heldState(since, vessel.events, day);
  const way = wayOf(kind);
  const body = way.status({
    vessel: restart ? { ...vessel, enteredOn: null } : vessel,
    measure,
    since,
    startG,
    ageDays,
    ageOf,
    tempOn,
    day,
  });
  const gone = held === 'crashed' || held === 'ended' || held === 'resting';
  const crash = crashHazard({
    ...way.strain(kind, body.fullness),
    tooWarmC: Math.max(0, tempC - kind.tempMaxC),
    overfed: isFoul(last),
    ageDays,
  });
  const hatchesAtMs =
    isFromEggs(kind) && !gone
      ? (restart?.atMs ?? vessel.startedAtMs) + hatchHours(tempC) * 3_600_000
      : null;
  return {
    ...body,
    state: held ?? body.state,
    ...(held === 'crashed' || held === 'ended' ? EMPTY : {}),
    ...(gone ? { givesG: 0, lastingG: 0 } : {}),
    // Nine of ten: where it may well have crashed unseen, nothing may be in it.
    ...(1 - (1 - crash.perDay) ** Math.min(last.unseenDays, last.fedDays ?? Infinity) > UNSEEN_CRASH
      ? { lowG: 0 }
      : {}),
    ageDays,
    tempC,
    tempAhead: aheadOf(vessel, past, day, tempC),
    crash: gone ? { perDay: 0, causes: [] } : crash,
    ...last,
    hatchesAtMs,
  };
}

/** The lower end of the band leaves out one of twenty. */
const UNSEEN_CRASH = 0.05;

const EMPTY = {
  contentG: 0,
  lowG: 0,
  highG: 0,
  fullG: 0,
  fullness: 0,
  estimate: { count: 0, sd: 0 },
  keptG: 0,
};

/** Temperature on a day of its age: as it was read of late, or as it usually is. */
function temperatures(vessel: Vessel, past: readonly VesselEvent[], startedOn: string) {
  const read = past.flatMap((event) =>
    event.kind === 'warmth' ? [{ day: daysBetween(startedOn, event.day), tempC: event.tempC }] : [],
  );
  return (day: number): number => {
    const last = read.findLast((one) => one.day <= day);
    return last && day - last.day <= WARMTH_HOLDS ? last.tempC : vessel.tempC;
  };
}

/** A reading of today holds for some days, then it is as usual. */
function aheadOf(vessel: Vessel, past: readonly VesselEvent[], day: string, tempC: number) {
  const last = past.findLast(({ kind }) => kind === 'warmth');
  const fresh = last && daysBetween(last.day, day) <= WARMTH_AHEAD ? tempC : vessel.tempC;
  return Array.from({ length: AHEAD_DAYS }, (_, ahead) =>
    ahead < WARMTH_AHEAD ? fresh : vessel.tempC,
  );
}

/** What was last done and seen, in days ago. */
function lastOf(since: readonly VesselEvent[], ageDays: number, ageOf: (day: string) => number) {
  const ago = (is: (event: VesselEvent) => boolean) => {
    const last = since.findLast(is);
    return last ? ageDays - ageOf(last.day) : null;
  };
  const clear = since.findLast((event) => event.kind === 'seen' && event.clarity !== null);
  return {
    fedDays: ago(({ kind }) => kind === 'fed'),
    changedDays: ago(({ kind }) => kind === 'changed'),
    unseenDays: ago(({ kind }) => SEEING.has(kind)) ?? ageDays,
    clarity:
      clear?.kind === 'seen' && clear.clarity !== null
        ? { seen: clear.clarity, days: ageDays - ageOf(clear.day) }
        : null,
  };
}
const SEEING: ReadonlySet<string> = new Set(['seen', 'counted', 'harvested']);

/** Foul of late, or still cloudy though it was fed at least the day before. */
const isFoul = ({ clarity, fedDays }: Pick<VesselStatus, 'clarity' | 'fedDays'>): boolean =>
  clarity !== null &&
  clarity.days <= FOUL_DAYS &&
  (clarity.seen === 'foul' ||
    (clarity.seen === 'cloudy' && fedDays !== null && fedDays > clarity.days));
const FOUL_DAYS = 2;

/** Crashed, resting or ended, where it is one of them. */
function heldState(since: readonly VesselEvent[], all: readonly VesselEvent[], day: string) {
  if (all.some((event) => event.kind === 'ended' && event.day <= day)) return 'ended' as const;
  const last = since.findLast(({ kind }) => HOLDING.has(kind));
  if (last?.kind === 'crashed') return 'crashed' as const;
  return last?.kind === 'rested' ? ('resting' as const) : null;
}
const HOLDING: ReadonlySet<string> = new Set(['crashed', 'rested', 'woken', 'added']);

/** What of a vessel is one kind's: all of it, or its share where a second kind lives in it. */
const shareOf = (measure: number, shared: boolean): number => (shared ? measure * SHARED : measure);

/** What of a vessel a forecast or a supply begins with. @param shared a second kind lives in it */
export const forecastStartOf = (
  { kind, measure, shared }: { kind: CultureKind; measure: number; shared: boolean },
  status: VesselStatus,
  hatchShare?: number,
): ForecastStart => ({
  kind,
  measure: shareOf(measure, shared) * status.vigour,
  ageDays: status.ageDays,
  estimate: status.estimate,
  keptG: status.keptG,
  hatchShare,
  leftShare: status.leftShare,
  takenTodayG: status.takenTodayG,
  fed: status.fed,
  idle: GIVES_NOTHING.has(status.state) && status.state !== 'over',
});
