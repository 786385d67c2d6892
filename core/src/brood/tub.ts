import type { TubState } from './line';

/** A sample of ten spans about three standard deviations. Source: d2 of a range, n = 10: 3.08. */
const SD_IN_RANGE = 3.08;
/** From this coefficient of variation on they are sorted. Starting value: 20 to 25 %. */
const SORT_FROM = 0.2;
/** So many cm of young fish live in a litre of a tub that is changed daily. Assumption. */
export const MAX_CM_PER_L = 4;

/** Coefficient of variation of the lengths in a tub; null where the ends were not measured. */
export function spreadOf({ measured }: Pick<TubState, 'measured'>): number | null {
  if (measured === null || measured.shortMm === null || measured.longMm === null) return null;
  return (measured.longMm - measured.shortMm) / SD_IN_RANGE / measured.lengthMm;
}

/** They were measured since they were last sorted, and are too unlike. */
export function wantsSorting(tub: Pick<TubState, 'measured' | 'sortedOn'>): boolean {
  const spread = spreadOf(tub);
  if (spread === null || spread < SORT_FROM) return false;
  return tub.sortedOn === null || tub.measured!.day > tub.sortedOn;
}

/** Litres that so many young of a length want. @param lengthCm mean total length */
export const litresFor = (count: number, lengthCm: number): number =>
  (count * lengthCm) / MAX_CM_PER_L;

/** Share of those that ever came into it that is left; null until counted. */
export const survivalOf = ({ count, max }: Pick<TubState, 'count' | 'max'>): number | null =>
  count === null || max === null || max === 0 ? null : count / max;
