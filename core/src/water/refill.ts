import { assertRange } from '../units';
import { mixFor, mixed, type MixedWater } from './mix';

/** A water to fill up with: what it is called, and what is known of it. */
export interface RefillWater {
  name: string;
  tempC: number;
  gh: number | null;
  tdsMgL: number | null;
  nitrateMgL: number;
}

/** What to pour, and in what. */
export interface Refill {
  litres: number;
  /** Full buckets, and what the last one holds, litres. */
  buckets: { full: number; restL: number; ofL: number };
  /** Of each water, litres; one where nothing is mixed. */
  parts: { name: string; litres: number }[];
  /** Warm the new water to within this, °C: the tank then changes by two degrees at most. */
  warmTo: { from: number; to: number };
  /** The tank afterwards, if it is poured as it comes. */
  after: { tempC: number; gh: number | null; tdsMgL: number | null };
  /** It must be warmed or cooled first. */
  tempered: boolean;
  /** What was asked of the mix cannot be had from these two waters. */
  impossible: boolean;
}

/** A change of the tank by more than this at once is felt. Assumption: usual advice is one to three degrees. */
export const MAX_STEP_C = 2;
/** New water is never colder or warmer than this, however little it is: fish swim into it. Practice. */
const MAX_APART_C = 5;
/** What hands carry. */
export const USUAL_BUCKET_L = 10;

/**
 * A change of water in buckets: how many, mixed of what, and how warm.
 * @param litres  to change, above nothing
 * @param tank    the tank before
 * @param bucketL what one bucket holds
 * @param target  what the new water should have, where two are mixed
 * @throws RangeError for a bucket that holds nothing, or more water than the tank has
 */
export function refillOf(
  litres: number,
  tank: { litres: number; tempC: number; gh: number | null; tdsMgL: number | null },
  [first, second]: readonly [RefillWater, RefillWater | null],
  bucketL: number = USUAL_BUCKET_L,
  target: { of: 'gh' | 'tdsMgL'; value: number } | null = null,
): Refill {
  assertRange('litres changed', litres, 0.01, tank.litres);
  assertRange('litres of a bucket', bucketL, 0.1, 200);
  const share = litres / tank.litres;
  const full = Math.floor(litres / bucketL + 1e-9);
  const restL = Math.max(0, litres - full * bucketL);
  const as = (water: RefillWater): MixedWater => ({
    tempC: water.tempC,
    gh: water.gh ?? 0,
    tdsMgL: water.tdsMgL ?? 0,
  });
  const known = (key: 'gh' | 'tdsMgL') =>
    first[key] !== null && (second === null || second[key] !== null);
  const wanted =
    target && second && known(target.of)
      ? mixFor(target.of, target.value, as(first), as(second))
      : null;
  const impossible = target !== null && second !== null && wanted === null;
  const ofFirst = second === null ? 1 : (wanted ?? 1);
  const water = second === null ? as(first) : mixed(as(first), as(second), ofFirst);
  const parts = [
    { name: first.name, litres: litres * ofFirst },
    ...(second ? [{ name: second.name, litres: litres * (1 - ofFirst) }] : []),
  ].filter((part) => part.litres > 1e-9);
  const step = Math.min(MAX_APART_C, MAX_STEP_C / share);
  const warmTo = { from: tank.tempC - step, to: tank.tempC + step };
  const blend = (of: number | null, by: number, key: 'gh' | 'tdsMgL') =>
    of === null || !known(key) ? null : of * (1 - share) + by * share;
  return {
    litres,
    buckets: { full, restL: restL < 0.05 ? 0 : restL, ofL: bucketL },
    parts,
    warmTo,
    after: {
      tempC: tank.tempC * (1 - share) + water.tempC * share,
      gh: blend(tank.gh, water.gh, 'gh'),
      tdsMgL: blend(tank.tdsMgL, water.tdsMgL, 'tdsMgL'),
    },
    tempered: water.tempC < warmTo.from || water.tempC > warmTo.to,
    impossible,
  };
}
