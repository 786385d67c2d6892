import { addDays, daysBetween } from '../round';
import { inOrder, type BroodEvent, type BroodState } from './line';

/** What was seen of one clutch, from the eggs to the last that was given away; null where it was not counted. */
export interface ClutchRecord {
  laidOn: string | null;
  laid: number | null;
  /** Left of the eggs once the bad ones were taken out. */
  fertile: number | null;
  hatched: number | null;
  swum: number | null;
  alive: number | null;
  givenAway: number;
  /** A guard kicked some of the eggs out. */
  kickedOut: boolean;
  ended: BroodState['ended'];
}

/** Read what was counted of a clutch on its way, up to a day. */
export function clutchRecord(
  events: readonly BroodEvent[],
  { spawnedOn, hatchedOn, swimmingOn, count, rehomed, kickedOut, ended }: BroodState,
  today: string,
): ClutchRecord {
  const past = inOrder(events.filter(({ day }) => day <= today));
  /** The first count from one day on and before another. */
  const counted = (from: string | null, before: string | null): number | null =>
    from === null
      ? null
      : (past.find(
          (one) =>
            (one.kind === 'counted' || one.kind === 'eggsSeen') &&
            one.day >= from &&
            (before === null || one.day < before || one.day === from),
        )?.count ?? null);
  const laid = past.find(({ kind }) => kind === 'eggsSeen')?.count ?? null;
  const bad = past.filter(({ kind }) => kind === 'eggsBad');
  const left = bad.reduce((share, one) => share * (1 - (one.share ?? 0)), 1);
  const seen = spawnedOn !== null || hatchedOn !== null || swimmingOn !== null;
  return {
    laidOn: spawnedOn,
    laid,
    fertile: laid === null || bad.length === 0 ? null : Math.round(laid * left),
    hatched: counted(hatchedOn, swimmingOn),
    swum: counted(swimmingOn, null),
    alive: seen ? count : null,
    givenAway: rehomed,
    kickedOut: kickedOut !== null,
    ended,
  };
}

/** What goes wrong with clutches, as it was seen of some. */
export const TROUBLES = ['infertile', 'kickedOut', 'eaten', 'swallowed', 'lost'] as const;
export type Trouble = (typeof TROUBLES)[number];

/** What several clutches of the same parents show. */
export interface PairRecord {
  /** Days between two spawns, in the middle of those that were seen; null of fewer than two. */
  cadenceDays: number | null;
  /** The day on which the next is to be expected; null where it is not known. */
  nextOn: string | null;
  /** Spawns without a break of a month before them. */
  inARow: number;
  /** What went wrong, and in how many clutches. */
  troubles: { is: Trouble; clutches: number }[];
}

/** Fewer than this share of the eggs is a clutch that was hardly fertile. Assumption. */
const HARDLY = 0.3;
/** A break that counts as a rest, days. Assumption. */
const RESTED_AFTER = 30;

/** @param records of the same parents, in any order */
export function pairRecord(records: readonly ClutchRecord[]): PairRecord {
  const laid = records.flatMap(({ laidOn }) => laidOn ?? []).sort();
  const gaps = laid.slice(1).map((day, at) => daysBetween(laid[at]!, day));
  const spawns = gaps.filter((days) => days > 0).sort((a, b) => a - b);
  const cadenceDays = spawns[Math.floor(spawns.length / 2)] ?? null;
  const last = laid.at(-1);
  const rest = gaps.findLastIndex((days) => days >= RESTED_AFTER);
  const has: Record<Trouble, (one: ClutchRecord) => boolean> = {
    infertile: ({ laid: all, fertile }) =>
      all !== null && fertile !== null && fertile < HARDLY * all,
    kickedOut: (one) => one.kickedOut,
    eaten: ({ ended }) => ended === 'eaten',
    swallowed: ({ ended }) => ended === 'swallowed',
    lost: ({ ended, swum }) => ended === 'none left' && swum !== null,
  };
  return {
    cadenceDays,
    nextOn: last === undefined || cadenceDays === null ? null : addDays(last, cadenceDays),
    inARow: laid.length === 0 ? 0 : laid.length - (rest + 1),
    troubles: TROUBLES.flatMap((is) => {
      const clutches = records.filter(has[is]).length;
      return clutches > 0 ? [{ is, clutches }] : [];
    }),
  };
}
