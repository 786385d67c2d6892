import type { Guild } from '@open-larder/catalogue';
import { assumed, computed, measured, type Known } from '../why';

/** Composition as fed, each a share of mass 0..1. What is missing to 1 is carbohydrate. */
export interface Composition {
  protein: number;
  fat: number;
  fibre: number;
  ash: number;
  moisture: number;
}

const ENERGY_SOURCE = 'NRC 2011, Nutrient Requirements of Fish and Shrimp: gross energy values';
const DIGEST_SOURCE =
  'NRC 2011: digestibility by nutrient and feeding habit, rounded; an assumption for small fish';

/** Gross energy in kJ per gram of nutrient. Source: NRC 2011. */
const GROSS = { protein: 23.6, fat: 39.5, carbohydrate: 17.2 };
/** Shares digested. Source: NRC 2011, rounded. */
const DIGESTED = { protein: 0.88, fat: 0.9 };

/** Share of carbohydrate that a guild digests. Source: NRC 2011, rounded; an assumption by guild. */
const CARBOHYDRATE_DIGESTED: Record<Guild, number> = {
  'plant grazer': 0.7,
  'film scraper': 0.7,
  'detritus feeder': 0.7,
  'filter feeder': 0.55,
  'invertebrate picker': 0.55,
  omnivore: 0.55,
  predator: 0.35,
};

/**
 * Carbohydrate by difference.
 * @returns share of mass as fed, 0..1
 * @throws RangeError where the composition adds up to more than 100 %
 */
export function carbohydrate(food: Composition): number {
  const known = food.protein + food.fat + food.fibre + food.ash + food.moisture;
  if (known > 1.0001 || known < 0) {
    throw new RangeError('the composition adds up to more than the whole');
  }
  return Math.max(0, 1 - known);
}

/**
 * Digestible energy of a food as fed, for a guild.
 * @returns kJ per gram as fed
 * @throws RangeError where the composition adds up to more than 100 %
 * Source: NRC 2011.
 */
export function digestibleEnergy(name: string, food: Composition, guild: Guild): Known {
  const starch = carbohydrate(food);
  const digested = CARBOHYDRATE_DIGESTED[guild];
  const value =
    GROSS.protein * food.protein * DIGESTED.protein +
    GROSS.fat * food.fat * DIGESTED.fat +
    GROSS.carbohydrate * starch * digested;
  return computed(value, {
    label: `Digestible energy of ${name}, as fed`,
    unit: 'kJ/g',
    how: '23.6 × protein × 0.88 + 39.5 × fat × 0.90 + 17.2 × carbohydrate × its digested share',
    source: ENERGY_SOURCE,
    from: [
      measured(`Protein of ${name}`, food.protein * 100, '%', 'food shelf, as fed'),
      measured(`Fat of ${name}`, food.fat * 100, '%', 'food shelf, as fed'),
      computed(starch * 100, {
        label: `Carbohydrate of ${name}`,
        unit: '%',
        how: '100 % less protein, fat, fibre, ash and moisture',
        from: [measured(`Moisture of ${name}`, food.moisture * 100, '%', 'food shelf, as fed')],
      }),
      assumed(`Carbohydrate digested by a ${guild}`, digested, 'share', DIGEST_SOURCE),
    ],
  });
}

/** A composition as shares of its dry matter. */
export function ofDryMatter({ moisture, ...parts }: Composition): Omit<Composition, 'moisture'> {
  const dry = 1 - moisture;
  const share = (part: number) => (dry <= 0 ? 0 : part / dry);
  return {
    protein: share(parts.protein),
    fat: share(parts.fat),
    fibre: share(parts.fibre),
    ash: share(parts.ash),
  };
}
