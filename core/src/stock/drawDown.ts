/** One purchase of a food. Amounts in grams as fed, days as YYYY-MM-DD. */
export interface Lot {
  id: string;
  remainingG: number;
  openedOn: string | null;
  bestBefore: string | null;
}

export interface Draw {
  lotId: string;
  massG: number;
}

/**
 * The order in which lots are used: what expires first, then what is open, then by id
 * so that two phones draw alike.
 */
export function inOrderOfUse<L extends Lot>(lots: readonly L[]): L[] {
  const last = '9999-12-31';
  return [...lots].sort(
    (a, b) =>
      compare(a.bestBefore ?? last, b.bestBefore ?? last) ||
      compare(a.openedOn ?? last, b.openedOn ?? last) ||
      compare(a.id, b.id),
  );
}

/**
 * Take an amount from the shelf.
 * @param massG grams wanted, 0 or more
 * @returns what each lot gives, and what was missing; draws + shortG = massG to the microgram
 */
export function drawDown(lots: readonly Lot[], massG: number): { draws: Draw[]; shortG: number } {
  let open = toMicrogram(massG);
  const draws: Draw[] = [];
  for (const lot of inOrderOfUse(lots)) {
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
