import { addDays } from '../round';
import { keptDays, type Place } from './place';

/** One purchase of a food. Amounts in grams as fed, days as YYYY-MM-DD. */
export interface Lot {
  id: string;
  remainingG: number;
  openedOn: string | null;
  bestBefore: string | null;
  /** Left out where it makes no difference. */
  place?: Place;
}

export interface Draw {
  lotId: string;
  massG: number;
}

/** What decides which lot is used next: the day, and how long the food keeps once opened. */
export interface Keeping {
  day: string;
  /** Days that it keeps once opened; null where that makes no difference. */
  openedDays: number | null;
}

const NEVER = '9999-12-31';

/** The last day on which a lot is good: its best-before, or sooner where it was opened. */
export function goodUntil(
  { openedOn, bestBefore, place }: Pick<Lot, 'openedOn' | 'bestBefore' | 'place'>,
  openedDays: number | null,
): string | null {
  const keeps = keptDays(place, openedDays);
  const opened = openedOn !== null && keeps !== null ? addDays(openedOn, keeps) : NEVER;
  const last = (bestBefore ?? NEVER) < opened ? (bestBefore as string) : opened;
  return last === NEVER ? null : last;
}

/**
 * The order in which lots are used: what expires first, then what is open, then by id
 * so that two phones draw alike. What is past its day comes last of all.
 */
export function inOrderOfUse<L extends Lot>(lots: readonly L[], { day, openedDays }: Keeping): L[] {
  const keyed = lots.map((lot) => {
    const until = goodUntil(lot, openedDays) ?? NEVER;
    return { lot, until, past: until < day };
  });
  keyed.sort(
    (a, b) =>
      Number(a.past) - Number(b.past) ||
      compare(a.until, b.until) ||
      compare(a.lot.openedOn ?? NEVER, b.lot.openedOn ?? NEVER) ||
      compare(a.lot.id, b.lot.id),
  );
  return keyed.map((one) => one.lot);
}

/**
 * Take an amount from the shelf.
 * @param massG grams wanted, 0 or more
 * @returns what each lot gives, and what was missing; draws + shortG = massG to the microgram
 */
export function drawDown(
  lots: readonly Lot[],
  massG: number,
  keeping: Keeping,
): { draws: Draw[]; shortG: number } {
  let open = toMicrogram(massG);
  const draws: Draw[] = [];
  for (const lot of inOrderOfUse(lots, keeping)) {
    if (open <= 0) break;
    const taken = toMicrogram(Math.min(open, lot.remainingG));
    if (taken <= 0) continue;
    draws.push({ lotId: lot.id, massG: taken });
    open -= taken;
  }
  return { draws, shortG: Math.max(0, toMicrogram(open)) };
}

/** The shelf is kept to the microgram: sums of shares leave no binary dust behind. */
const toMicrogram = (grams: number) => Math.round(grams * 1e6) / 1e6;

const compare = (a: string, b: string) => (a < b ? -1 : a > b ? 1 : 0);
