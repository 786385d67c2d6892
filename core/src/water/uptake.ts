import type { TankFurnishing } from '../tank';
import type { UptakePrior } from './course';

/**
 * Nitrate that plants are expected to take up before any test, mg/L a day, by how thick they grow: none
 * take nothing. Assumptions; floating and fast plants take the more, and tests tell.
 */
export const UPTAKE: Record<NonNullable<TankFurnishing['plants']>, UptakePrior> = {
  none: { mgL: 0, sd: 0 },
  few: { mgL: 0.2, sd: 0.3 },
  many: { mgL: 0.6, sd: 0.6 },
  dense: { mgL: 1.2, sd: 1 },
};
