import { daysBetween } from '../round';
import type { BroodEventKind } from './vocabulary';

/** What happened to a brood on a day: what does not belong to its kind is null. */
export interface BroodEvent {
  kind: BroodEventKind;
  day: string;
  /** The tub that it was in; null is the first. */
  tubId: string | null;
  /** Of a move: where they went. */
  toTubId: string | null;
  /** Animals: counted, lost, rehomed, joined, or moved; null of a move is all of them. */
  count: number | null;
  /** Total length, mm: the mean of a sample, its shortest and its longest. */
  lengthMm: number | null;
  shortMm: number | null;
  longMm: number | null;
  tempC: number | null;
  /** Share of the water that was changed, or of what was fed that day and was taken out again. */
  share: number | null;
  /** The food that they took; or the standing food that was put in or taken out. */
  foodKey: string | null;
  /** Of a treatment: its product, and for so many days at most, every so many days. */
  product: string | null;
  forDays: number | null;
  everyDays: number | null;
}

/** The status of one tub of a brood. */
export interface TubState {
  /** Null is the first. */
  tubId: string | null;
  /** The latest that are known, less those that left since; null until counted. */
  count: number | null;
  /** The most that were known to be in it or came into it, less those that went on from it alive. */
  max: number | null;
  lost: number;
  /** The most that were in it since any last moved into or out of it; null until counted. */
  cohort: number | null;
  /** A later count was higher than what should be left: the one before missed some. */
  recounted: boolean;
  /** More than one clutch of different ages is in it. */
  mixed: boolean;
  measured: { day: string; lengthMm: number; shortMm: number | null; longMm: number | null } | null;
  changedOn: string | null;
  sortedOn: string | null;
  /** Its standing food, and since when. */
  standing: { what: string; since: string }[];
}

/** The status of a brood on a day. */
export interface BroodState {
  phase: 'conditioning' | 'paired' | 'eggs' | 'larvae' | 'fry' | 'over';
  /** Days of what was seen: null where it was not yet. */
  conditionedOn: string | null;
  pairedOn: string | null;
  spawnedOn: string | null;
  parentsMovedOn: string | null;
  /** The guard kicked eggs out: since when, and which share of them in all; null where it keeps them. */
  kickedOut: { day: string; share: number } | null;
  hatchedOn: string | null;
  swimmingOn: string | null;
  firstFoodOn: string | null;
  /** The last treatment: its day, its product, how long it stays in and how often it is repeated. */
  treated: {
    day: string;
    product: string | null;
    forDays: number | null;
    everyDays: number | null;
  } | null;
  /** Where those are that were never counted: the first tub (null), or where all of them were moved. */
  homeTubId: string | null;
  /** Of all its tubs; null until counted. */
  count: number | null;
  recounted: boolean;
  mixed: boolean;
  rehomed: number;
  /** Of so many that were ever counted so many live, here or elsewhere; null until counted. */
  survival: { alive: number; of: number } | null;
  tubs: TubState[];
  /** Why it is over; null while it is not. */
  ended: 'eaten' | 'swallowed' | 'ended' | 'none left' | null;
}

/** From this share on none is left to guard. */
const ALL_BUT = 0.99;

/**
 * The status of a brood on a day, from the events up to then, in any order. The latest count is believed:
 * fry that were counted at 40 and then at 55 are 55, and the first count missed some.
 */
export function broodOn(events: readonly BroodEvent[], day: string): BroodState {
  const past = inOrder(events.filter((event) => event.day <= day));
  const first = (kind: BroodEventKind) => past.find((event) => event.kind === kind)?.day ?? null;
  const tubs = tubsOf(past);
  const home = homeOf(past);
  const known = tubs.flatMap(({ count }) => (count === null ? [] : [count]));
  const count = known.length === 0 ? null : known.reduce((sum, one) => sum + one, 0);
  const spawnedOn = first('spawned') ?? first('eggsSeen');
  const swimmingOn = first('swimming') ?? first('firstFood');
  const state: BroodState = {
    phase: 'paired',
    conditionedOn: first('conditioned'),
    pairedOn: first('paired'),
    spawnedOn,
    parentsMovedOn: first('parentsMoved') ?? leftParentsOn(past, spawnedOn ?? swimmingOn),
    kickedOut: kickedOutOf(past),
    hatchedOn: first('hatched'),
    swimmingOn,
    firstFoodOn: first('firstFood'),
    treated: past.findLast(({ kind }) => kind === 'treated') ?? null,
    homeTubId: home,
    count,
    recounted: tubs.some((tub) => tub.recounted),
    mixed: tubs.some((tub) => tub.mixed),
    rehomed: past.reduce((sum, one) => sum + (one.kind === 'rehomed' ? (one.count ?? 0) : 0), 0),
    survival: null,
    tubs,
    ended: endOf(past, count),
  };
  if (count !== null) {
    const most = tubs.reduce((sum, tub) => sum + (tub.max ?? 0), 0);
    state.survival = { alive: count + state.rehomed, of: most + state.rehomed };
  }
  if (state.ended === 'eaten' || state.ended === 'swallowed') state.count = 0;
  state.phase = phaseOf(state);
  return state;
}

/** Two of one day in the order in which they were reported. */
export const inOrder = (events: readonly BroodEvent[]): BroodEvent[] =>
  [...events].sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0));

/** A move of all that were in a tub. */
const isWholeMove = ({ kind, count, tubId, toTubId }: BroodEvent): boolean =>
  kind === 'moved' && count === null && toTubId !== null && toTubId !== tubId;

function homeOf(past: readonly BroodEvent[]): string | null {
  const moves = past.filter(isWholeMove);
  return moves.reduce<string | null>(
    (home, move) => (home === null || move.tubId === home ? move.toTubId : home),
    null,
  );
}

/** Eggs or young that were all moved elsewhere have left their parents, whoever was carried. */
const leftParentsOn = (past: readonly BroodEvent[], began: string | null): string | null =>
  began === null
    ? null
    : (past.find((event) => isWholeMove(event) && event.day >= began)?.day ?? null);

/** Each time a share of those that it still had. */
function kickedOutOf(past: readonly BroodEvent[]): BroodState['kickedOut'] {
  const times = past.filter(({ kind }) => kind === 'kickedOut');
  const kept = times.reduce((share, one) => share * (1 - (one.share ?? 0)), 1);
  return times.length === 0 ? null : { day: times[0]!.day, share: 1 - kept };
}

/** Whether a guard has none of its eggs left: all were kicked out, or it was parted from them. */
export const guardIsFree = ({ parentsMovedOn, kickedOut }: BroodState): boolean =>
  parentsMovedOn !== null || (kickedOut !== null && kickedOut.share > ALL_BUT);

function endOf(past: readonly BroodEvent[], count: number | null): BroodState['ended'] {
  const has = (kind: BroodEventKind) => past.some((event) => event.kind === kind);
  if (has('eggsEaten')) return 'eaten';
  if (has('swallowed')) return 'swallowed';
  if (has('ended')) return 'ended';
  return count === 0 ? 'none left' : null;
}

function phaseOf(state: BroodState): BroodState['phase'] {
  if (state.ended !== null) return 'over';
  if (state.swimmingOn) return 'fry';
  if (state.hatchedOn) return 'larvae';
  if (state.spawnedOn) return 'eggs';
  return state.conditionedOn && !state.pairedOn ? 'conditioning' : 'paired';
}

/** A tub of which nothing was reported yet. */
export const emptyTub = (tubId: string | null): TubState => ({
  tubId,
  count: null,
  max: null,
  lost: 0,
  cohort: null,
  recounted: false,
  mixed: false,
  measured: null,
  changedOn: null,
  sortedOn: null,
  standing: [],
});

function tubsOf(past: readonly BroodEvent[]): TubState[] {
  const tubs = new Map<string | null, TubState>();
  const tub = (tubId: string | null): TubState => {
    const known = tubs.get(tubId);
    if (known) return known;
    const fresh = emptyTub(tubId);
    tubs.set(tubId, fresh);
    return fresh;
  };
  const came = (into: TubState, count: number) => {
    into.count = (into.count ?? 0) + count;
    into.max = Math.max(into.count, into.max ?? 0);
    into.cohort = (into.cohort ?? 0) + count;
  };
  const left = (from: TubState, count: number) => {
    if (from.max !== null) from.max = Math.max(from.count ?? 0, from.max - count);
    if (from.cohort !== null) from.cohort = Math.max(from.count ?? 0, from.cohort - count);
  };
  for (const event of past) {
    const here = tub(event.tubId);
    const count = event.count ?? 0;
    switch (event.kind) {
      case 'eggsSeen':
      case 'counted':
        if (event.count === null) break;
        here.recounted = event.kind === 'counted' && here.count !== null && count > here.count;
        here.count = count;
        here.cohort = Math.max(count, here.cohort ?? 0);
        here.max = Math.max(count, here.max ?? 0);
        break;
      case 'lost':
      case 'rehomed':
        if (here.count !== null) here.count = Math.max(0, here.count - count);
        if (event.kind === 'lost') here.lost += count;
        // Who was given away is no loss.
        else left(here, count);
        break;
      case 'eggsBad': {
        if (here.count === null) break;
        const left = Math.round(here.count * (1 - (event.share ?? 0)));
        here.lost += here.count - left;
        here.count = left;
        break;
      }
      case 'joined':
        here.mixed = true;
        came(here, count);
        break;
      case 'moved': {
        const gone = event.count ?? here.count;
        if (event.toTubId === null || event.toTubId === event.tubId) break;
        const there = tub(event.toTubId);
        if (gone !== null) {
          came(there, gone);
          if (here.count !== null) here.count = Math.max(0, here.count - gone);
          left(here, gone);
          here.cohort = here.count;
          there.cohort = there.count;
        }
        there.mixed ||= here.mixed;
        there.measured ??= here.measured;
        break;
      }
      case 'measured':
        if (event.lengthMm !== null) {
          const { lengthMm, shortMm, longMm } = event;
          here.measured = { day: event.day, lengthMm, shortMm, longMm };
        }
        break;
      case 'changed':
        here.changedOn = event.day;
        break;
      case 'sorted':
        here.sortedOn = event.day;
        break;
      case 'placed':
      case 'removed': {
        const others = here.standing.filter(({ what }) => what !== event.foodKey);
        const placed = { what: event.foodKey ?? '', since: event.day };
        here.standing = event.kind === 'placed' ? [...others, placed] : others;
      }
    }
  }
  return [...tubs.values()];
}

/** A reading of warmth counts for its own day, and for so many after it unless there is another. Assumption. */
const READING_HOLDS = 2;

/**
 * Water temperature on a day from laying: as it was read, or as it usually is.
 * @param usualC without a reading, °C
 */
export function warmthOn(
  events: readonly BroodEvent[],
  spawnedOn: string,
  usualC: number,
): (day: number) => number {
  const read = inOrder(events.filter(({ kind }) => kind === 'warmth')).map(({ day, tempC }) => ({
    at: daysBetween(spawnedOn, day),
    tempC: tempC ?? usualC,
  }));
  return (day) => {
    const last = read.findLast(({ at }) => at <= day);
    return last && day - last.at <= READING_HOLDS ? last.tempC : usualC;
  };
}
