import type { CultureKind } from '@open-larder/catalogue/cultures';
import { daysBetween } from '../round';
import { aged } from './aged';
import { estimate, type Density, type Estimate, type VesselEvent } from './estimate';
import type { Standing } from './forecast';
import { crashHazard, type Cause } from './hazard';
import { hatchHours } from './hatch';
import { gramsOfOne, logisticOf } from './kind';
import { isCrowding } from './models';
import { lastingHarvest, safeHarvest, type Logistic } from './logistic';
import { START_SHARE } from './supply';
import { GIVES_NOTHING, type Clarity } from './vocabulary';

/** What happened to a vessel on a day, at an instant (ms since 1970). */
export type Happening = { day: string; atMs: number } & (
  | { kind: 'fed' | 'topped' | 'crashed' | 'rested' | 'woken' | 'ended' }
  | { kind: 'seen'; density: Density | null; clarity: Clarity | null }
  /** Animals in a sample of so many millilitres. */
  | { kind: 'counted'; count: number; sampleMl: number }
  /** Grams wet. Of a hatch that was counted, the animals too. */
  | { kind: 'harvested'; massG: number; count: number | null }
  | { kind: 'changed'; share: number }
  /** That share of the culture went into another vessel. */
  | { kind: 'split'; share: number }
  | { kind: 'added'; massG: number }
  | { kind: 'warmth'; tempC: number }
  /** Set up anew with so many grams: of cysts for a hatch, of the animals else; null for the usual. */
  | { kind: 'restarted'; massG: number | null }
);

/** A vessel with all that happened to it, the oldest first. */
export interface Vessel {
  kind: CultureKind;
  /** A second kind that lives in it too. */
  also: CultureKind | null;
  /** Litres, square decimetres or jars. */
  measure: number;
  /** °C, as it usually is. */
  tempC: number;
  startedOn: string;
  startedAtMs: number;
  /** Grams it was started with; null for the usual tenth of what it carries. */
  startG: number | null;
  /** Share of its cysts that hatches, where the keeper's own jars have told. */
  hatchShare?: number;
  /** The day on which a culture that was going already was entered; missing for one started here. */
  enteredOn?: string | null;
  events: readonly Happening[];
}

export type VesselState =
  'building' | 'giving' | 'fading' | 'over' | 'crashed' | 'resting' | 'ended';

/** How a vessel stands on a day. */
export interface VesselStand {
  state: VesselState;
  ageDays: number;
  /** °C now, and for the days ahead. */
  tempC: number;
  tempAhead: number[];
  /** Grams in it, and the band in which they lie nine times of ten. */
  standingG: number;
  lowG: number;
  highG: number;
  /** Grams that it carries, or gives at its best; and what is in it, of that: 0 to 1. */
  fullG: number;
  fullness: number;
  /** Grams that can be taken today without harm, and each day for good. */
  givesG: number;
  lastingG: number;
  /** Days since anybody saw, counted or took anything. */
  unseenDays: number;
  /** More was taken than was believed to be there. */
  surprised: boolean;
  crash: { perDay: number; causes: Cause[] };
  fedDays: number | null;
  changedDays: number | null;
  clarity: { seen: Clarity; days: number } | null;
  /** Of a hatch: when it can be harvested, ms since 1970. */
  hatchesAtMs: number | null;
  /** Enough of it to look ahead from. */
  estimate: Pick<Estimate, 'count' | 'sd'>;
  keptG: number;
  /** Of kinds that give by their age: how it does against its kind, from what was seen. */
  vigour: number;
  /** Of what does not grow again, so much was not taken yet. */
  leftShare: number;
  /** Grams taken today, and how well it is fed: 1 as it should be. */
  takenTodayG: number;
  fed: number;
}

/** A temperature that was read holds for so many days back, and ahead. Assumptions. */
const WARMTH_HOLDS = 7;
const WARMTH_AHEAD = 3;
/** Older than this a culture is as old as that. */
const OLDEST_DAYS = 3000;
/** Days for which temperatures are told ahead. */
export const AHEAD_DAYS = 42;
/**
 * What is not fed for twice its rhythm carries less: half of it for each further two rhythms, or four
 * days, where it is fed daily. Assumption.
 */
const STARVED_AFTER = 2;
const HALVED_IN = 2;
const HALVED_DAYS = 4;
const LEAST_FED = 0.25;
/** Two kinds in one vessel share it. Assumption: halves, until one has the better of the other. */
const SHARED = 0.5;
/** A culture gives in earnest from this share of its full yield on. */
const IN_EARNEST = 0.5;

/**
 * How a vessel stands on a day, from all that happened to it up to then.
 * @param day after its start; a day before it counts as its start
 */
export function standOn(vessel: Vessel, day: string): VesselStand {
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
  const body: Body = isCrowding(kind)
    ? crowded({
        vessel: restart ? { ...vessel, enteredOn: null } : vessel,
        measure,
        since,
        startG,
        ageDays,
        ageOf,
        tempOn,
      })
    : aged({ vessel, measure, since, startG, ageDays, ageOf, tempC, day });
  const gone = held === 'crashed' || held === 'ended' || held === 'resting';
  const crash = crashHazard({
    crowding: isCrowding(kind) ? body.fullness : 0.5,
    tooWarmC: Math.max(0, tempC - kind.tempMaxC),
    overfed: isFoul(last),
    ageDays,
    tiredDays: isCrowding(kind) ? null : kind.overDays,
  });
  const hatchesAtMs =
    kind.model === 'hatch' && !gone
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
  standingG: 0,
  lowG: 0,
  highG: 0,
  fullG: 0,
  fullness: 0,
  estimate: { count: 0, sd: 0 },
  keptG: 0,
};

export type Body = Pick<
  VesselStand,
  | 'state'
  | 'standingG'
  | 'lowG'
  | 'highG'
  | 'fullG'
  | 'fullness'
  | 'givesG'
  | 'lastingG'
  | 'surprised'
  | 'estimate'
  | 'keptG'
  | 'vigour'
  | 'leftShare'
  | 'takenTodayG'
  | 'fed'
>;

export interface Since {
  vessel: Vessel;
  measure: number;
  since: readonly Happening[];
  startG: number | null;
  ageDays: number;
}

/** A kind that grows until it is crowded: what is believed to be in it, from all that was seen. */
function crowded({
  vessel: { kind, enteredOn = null },
  measure,
  since,
  startG,
  ageDays,
  ageOf,
  tempOn,
}: Since & { ageOf: (day: string) => number; tempOn: (day: number) => number }): Body {
  const gram = gramsOfOne(kind);
  const fed = since.filter((event) => event.kind === 'fed').map((event) => ageOf(event.day));
  const on = (day: number): Logistic =>
    logisticOf(kind, measure, tempOn(day), fedness(kind, fed, day));
  const most = logisticOf(kind, measure, 20).capacity;
  const start = startG === null ? most * START_SHARE : startG / gram;
  const seen = since.flatMap((event) => asSeen(event, ageOf(event.day), measure, gram));
  const unknown: VesselEvent[] =
    enteredOn === null ? [] : [{ day: ageOf(enteredOn), kind: 'unknown' }];
  const known = [...unknown, ...seen].sort((a, b) => a.day - b.day);
  const belief = estimate(start, known, ageDays, on);
  const now = on(ageDays);
  const gives = safeHarvest(now, belief.count);
  return {
    state: belief.count > most * IN_EARNEST * 0.6 ? 'giving' : 'building',
    standingG: belief.count * gram,
    lowG: belief.low * gram,
    highG: Math.min(belief.high, Math.max(most, belief.count)) * gram,
    fullG: most * gram,
    fullness: most > 0 ? belief.count / most : 0,
    givesG: gives * gram,
    lastingG: lastingHarvest(logisticOf(kind, measure, tempOn(ageDays))) * gram,
    surprised: belief.surprised,
    estimate: { count: belief.count, sd: belief.sd },
    keptG: 0,
    vigour: 1,
    leftShare: 1,
    takenTodayG: 0,
    fed: fedness(kind, fed, ageDays),
  };
}

/** What an event says to the belief about a count. */
function asSeen(event: Happening, day: number, measure: number, gram: number): VesselEvent[] {
  switch (event.kind) {
    case 'seen':
      return event.density === null ? [] : [{ day, kind: 'seen', density: event.density }];
    case 'counted':
      return [{ day, kind: 'counted', count: (event.count / event.sampleMl) * 1000 * measure }];
    case 'harvested':
      return [{ day, kind: 'harvested', count: event.massG / gram }];
    case 'split':
      return [{ day, kind: 'kept', share: 1 - event.share }];
    case 'added':
      return [{ day, kind: 'added', count: event.massG / gram }];
    case 'crashed':
      return [{ day, kind: 'crashed' }];
    default:
      return [];
  }
}

/** How well it is fed: 1 where nobody writes the feeding down, or as often as its kind wants it. */
function fedness({ feedDays }: CultureKind, fed: readonly number[], day: number): number {
  const last = fed.findLast((one) => one <= day);
  if (feedDays === null || feedDays === 0 || last === undefined) return 1;
  const missed = day - last - STARVED_AFTER * feedDays;
  return missed <= 0
    ? 1
    : Math.max(LEAST_FED, 0.5 ** (missed / Math.max(HALVED_DAYS, HALVED_IN * feedDays)));
}

/** Temperature on a day of its age: as it was read of late, or as it usually is. */
function temperatures(vessel: Vessel, past: readonly Happening[], startedOn: string) {
  const read = past.flatMap((event) =>
    event.kind === 'warmth' ? [{ day: daysBetween(startedOn, event.day), tempC: event.tempC }] : [],
  );
  return (day: number): number => {
    const last = read.findLast((one) => one.day <= day);
    return last && day - last.day <= WARMTH_HOLDS ? last.tempC : vessel.tempC;
  };
}

/** A reading of today holds for some days, then it is as usual. */
function aheadOf(vessel: Vessel, past: readonly Happening[], day: string, tempC: number) {
  const last = past.findLast(({ kind }) => kind === 'warmth');
  const fresh = last && daysBetween(last.day, day) <= WARMTH_AHEAD ? tempC : vessel.tempC;
  return Array.from({ length: AHEAD_DAYS }, (_, ahead) =>
    ahead < WARMTH_AHEAD ? fresh : vessel.tempC,
  );
}

/** What was last done and seen, in days ago. */
function lastOf(since: readonly Happening[], ageDays: number, ageOf: (day: string) => number) {
  const ago = (is: (event: Happening) => boolean) => {
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
const isFoul = ({ clarity, fedDays }: Pick<VesselStand, 'clarity' | 'fedDays'>): boolean =>
  clarity !== null &&
  clarity.days <= FOUL_DAYS &&
  (clarity.seen === 'foul' ||
    (clarity.seen === 'cloudy' && fedDays !== null && fedDays > clarity.days));
const FOUL_DAYS = 2;

/** Crashed, resting or ended, where it is one of them. */
function heldState(since: readonly Happening[], all: readonly Happening[], day: string) {
  if (all.some((event) => event.kind === 'ended' && event.day <= day)) return 'ended' as const;
  const last = since.findLast(({ kind }) => HOLDING.has(kind));
  if (last?.kind === 'crashed') return 'crashed' as const;
  return last?.kind === 'rested' ? ('resting' as const) : null;
}
const HOLDING: ReadonlySet<string> = new Set(['crashed', 'rested', 'woken', 'added']);

/** What of a vessel is one kind's: all of it, or its share where a second kind lives in it. */
const shareOf = (measure: number, shared: boolean): number => (shared ? measure * SHARED : measure);

/** What of a vessel a forecast or a supply begins with. @param shared a second kind lives in it */
export const standingOf = (
  { kind, measure, shared }: { kind: CultureKind; measure: number; shared: boolean },
  stand: VesselStand,
  hatchShare?: number,
): Standing => ({
  kind,
  measure: shareOf(measure, shared) * stand.vigour,
  ageDays: stand.ageDays,
  estimate: stand.estimate,
  keptG: stand.keptG,
  hatchShare,
  leftShare: stand.leftShare,
  takenTodayG: stand.takenTodayG,
  fed: stand.fed,
  idle: GIVES_NOTHING.has(stand.state) && stand.state !== 'over',
});
