import { PROTEIN_PER_N, TAN_OF_PROTEIN } from './nitrogen';

/** Of what is lifted again so much of its nitrogen has leached. Assumption. */
const LEACHED = 0.2;

/**
 * Nitrogen that a food gives to the water.
 * @param eatenG  grams as fed that were eaten
 * @param liftedG grams that were refused or left, and lifted
 * @param protein share of protein as fed, 0..1
 * @returns mg
 * Source: Timmons & Ebeling, Recirculating Aquaculture, for what is eaten; all nitrogen of what leaches.
 */
export const nitrogenMg = (eatenG: number, liftedG: number, protein: number): number =>
  1000 * protein * (eatenG * TAN_OF_PROTEIN + (liftedG * LEACHED) / PROTEIN_PER_N);
