import type { foodsFor } from '../aims';
import type { WeekGroup, WeekTask } from '../task';
import type { DayKind } from './kinds';
import type { Mip, Term } from './mip';
import type { Offer, TankMoment } from './offers';

/** A group as the programme sees it. */
export interface Eating {
  group: WeekGroup;
  /** Of a feeding day. */
  needKj: number;
  /** By food, the film last. */
  kjPerG: number[];
  /** kJ a day that it grazes, by kind of day: off glass and wood, and what stood before. */
  grazedKj: readonly number[];
  largestG: number;
  known: ReturnType<typeof foodsFor>;
}

/** A programme while it is written. */
export interface Writing {
  task: WeekTask;
  mip: Mip;
  days: number;
  kinds: readonly DayKind[];
  moments: readonly TankMoment[];
  offers: readonly Offer[];
  eating: readonly Eating[];
  /** By kind, then offer: columns of the steps that are given, and of whether any is. */
  steps: number[][];
  used: number[][];
}

/** Which offers on which kind of day a sum runs over; `each` counts every day of a kind. */
interface Over {
  kind?: number;
  which?: (offer: Offer) => boolean;
}

/** A sum over steps: `value` of an offer on a kind of day. Without a kind it runs over all days. */
export function stepTerms(
  { steps, offers, kinds }: Writing,
  value: (offer: Offer, kind: number) => number,
  { kind, which = () => true }: Over = {},
): Term[] {
  return sumOver(steps, offers, kinds, value, kind, which);
}

/** The same over whether anything is given at all. */
export function usedTerms({ used, offers, kinds }: Writing, over: Over = {}): Term[] {
  return sumOver(used, offers, kinds, () => 1, over.kind, over.which ?? (() => true));
}

function sumOver(
  columns: readonly (readonly number[])[],
  offers: readonly Offer[],
  kinds: readonly DayKind[],
  value: (offer: Offer, kind: number) => number,
  only: number | undefined,
  which: (offer: Offer) => boolean,
): Term[] {
  const terms: Term[] = [];
  columns.forEach((ofKind, k) => {
    if (only !== undefined && only !== k) return;
    const times = only === undefined ? kinds[k]!.days.length : 1;
    ofKind.forEach((column, o) => {
      const offer = offers[o]!;
      if (column >= 0 && which(offer)) terms.push([column, times * value(offer, k)]);
    });
  });
  return terms;
}

/** A column that is paid for by how much it is used. */
export const slack = ({ mip }: Writing, cost: number, upper = Infinity): number =>
  mip.column({ cost, upper });
