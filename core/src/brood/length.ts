import { assertRange } from '../units';

/** What of a species tells how its young grow. */
export interface YoungTraits {
  /** When it swims free. */
  larvalLengthMm: number;
  adultLengthCm: number;
  growthLinfCm: number | null;
  /** 1/year. */
  growthK: number | null;
  tempOptC: number;
}

/** Where no L∞ is known it is a little over the usual length of an adult. Assumption. */
const LINF_OF_ADULT = 1.05;
/** K a year where none is known: small kinds grow up in months, large ones in years. Assumption. */
const K_AT_1_CM = 7;
const K_EXPONENT = -0.7;
/**
 * K may be so many times more or less, nine times of ten: where it was published for the species, food
 * and water still differ; where it is assumed from the size alone, kinds do too. Assumptions.
 */
const K_UNSURE = { known: 1.3, assumed: 1.8 };
/** Growth runs twice as fast for ten degrees, up to its best temperature. Assumption. */
const Q10 = 2;
const DAYS_A_YEAR = 365.25;

/** Growth rate and end length, known or assumed, and how many times more or less the rate may be. */
export function growthOf({ adultLengthCm, growthLinfCm, growthK }: YoungTraits): {
  linfCm: number;
  kPerYear: number;
  assumed: boolean;
  unsure: number;
} {
  return growthLinfCm !== null && growthK !== null
    ? { linfCm: growthLinfCm, kPerYear: growthK, assumed: false, unsure: K_UNSURE.known }
    : {
        linfCm: adultLengthCm * LINF_OF_ADULT,
        kPerYear: K_AT_1_CM * adultLengthCm ** K_EXPONENT,
        assumed: true,
        unsure: K_UNSURE.assumed,
      };
}

/**
 * Total length of a young fish so many days after it swims free, well fed.
 * @param days  0 or more
 * @param tempC usual water temperature since; over its best it grows no faster
 * @returns cm
 * Source: von Bertalanffy, from the length of a larva.
 */
export function youngLengthCm(traits: YoungTraits, days: number, tempC: number): number {
  assertRange('days since it swims free', days, 0, 3650);
  const { linfCm, kPerYear } = growthOf(traits);
  const warmth = Q10 ** ((Math.min(tempC, traits.tempOptC) - traits.tempOptC) / 10);
  const start = traits.larvalLengthMm / 10;
  const grown = Math.exp((-kPerYear * warmth * days) / DAYS_A_YEAR);
  return linfCm - (linfCm - start) * grown;
}

/**
 * Days from swimming free until a length is reached.
 * @returns null where it never is
 */
export function daysToLength(traits: YoungTraits, lengthCm: number, tempC: number): number | null {
  const { linfCm, kPerYear } = growthOf(traits);
  const start = traits.larvalLengthMm / 10;
  if (lengthCm <= start) return 0;
  if (lengthCm >= linfCm) return null;
  const warmth = Q10 ** ((Math.min(tempC, traits.tempOptC) - traits.tempOptC) / 10);
  return (-DAYS_A_YEAR / (kPerYear * warmth)) * Math.log((linfCm - lengthCm) / (linfCm - start));
}
