import type { FoodKind } from '@open-larder/catalogue';

const DAY_MIN = 1440;
/** Dry food that stays for longer than this is not a meal: it is grazed as it softens. Assumption. */
const LITTER_STAYS_MIN = 2 * DAY_MIN;
/**
 * Share of what is left of a leaf that softens in a day. Leaves in cool streams lose 0.005 to 0.01 of
 * themselves a day, quick ones more (Petersen & Cummins 1974, Freshwater Biology 4:343); that a warm
 * tank doubles the quicker figure is an assumption.
 */
const SOFTENS_A_DAY = 0.02;

/** What of a food says whether it is litter. */
export interface Lasting {
  kind: FoodKind;
  /** Minutes after which what is left of it is lifted; null leaves it. */
  liftAfterMin: number | null;
}

/** Leaves and cones: they stand for weeks, and only what has softened can be eaten. */
export const isLitter = ({ kind, liftAfterMin }: Lasting): boolean =>
  kind === 'dry' && liftAfterMin !== null && liftAfterMin > LITTER_STAYS_MIN;

/**
 * Share of a leaf that softens on one of its days.
 * @param day 0 on the day on which it is put in
 */
export const softensOn = (day: number): number =>
  Math.exp(-SOFTENS_A_DAY * day) - Math.exp(-SOFTENS_A_DAY * (day + 1));
