import type { Stage } from '../fish';
import { nitrogenOfProtein, PROTEIN_PER_N } from './nitrogen';

/** Of what is lifted again so much of its nitrogen has leached. Assumption. */
const LEACHED = 0.2;

/**
 * Nitrogen that a food gives to the water.
 * @param eatenG  grams as fed that were eaten
 * @param liftedG grams that were refused or left, and lifted
 * @param protein share of protein as fed, 0..1
 * @param stage   of who ate it: what grows keeps some
 * @returns mg; all nitrogen of what leaches
 */
export const nitrogenMg = (
  eatenG: number,
  liftedG: number,
  protein: number,
  stage: Stage,
): number =>
  1000 * protein * (eatenG * nitrogenOfProtein(stage) + (liftedG * LEACHED) / PROTEIN_PER_N);
