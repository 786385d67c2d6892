/** A thing on a shelf, and how long it is. */
interface Long {
  lengthCm: number;
}

/** The longest tank takes no more than this share of a shelf that holds others too. */
const LONGEST = 0.46;
/** Shorter than this in px, its fish are not seen. */
const MIN_PX = 96;

/**
 * Tanks on shelves in walking order, all of them to one scale, each shelf as full as it can be.
 * @param widthPx of a shelf
 * @returns shelf by shelf, with the width of each tank in px
 */
export function shelvesOf<T extends Long>(
  tanks: readonly T[],
  widthPx: number,
  gapPx: number,
): (T & { widthPx: number })[][] {
  if (tanks.length === 0 || widthPx <= 0) return [];
  const longest = Math.max(...tanks.map(({ lengthCm }) => lengthCm));
  const shortest = Math.min(...tanks.map(({ lengthCm }) => lengthCm));
  const alone = tanks.length === 1 || widthPx < 600;
  // A phone shows a tank a shelf; the smallest of all must still be seen.
  const scale = Math.min(
    widthPx / longest,
    Math.max((widthPx * (alone ? 1 : LONGEST)) / longest, MIN_PX / shortest),
  );
  const shelves: (T & { widthPx: number })[][] = [];
  let used = Number.POSITIVE_INFINITY;
  for (const tank of tanks) {
    const long = Math.min(widthPx, tank.lengthCm * scale);
    if (used + gapPx + long > widthPx) {
      shelves.push([]);
      used = 0;
    } else used += gapPx;
    shelves.at(-1)!.push({ ...tank, widthPx: long });
    used += long;
  }
  return shelves;
}
