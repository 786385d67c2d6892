/** Taken from here by what loads with the first screens: the rest of this room comes later. */
import { grows, type Stage } from '../fish/stage';

/** Grams of nitrogen that come into the water for one gram of protein that was eaten. */
const N_OF_PROTEIN = {
  /** Of growing fish whose solids are taken out. Source: Timmons & Ebeling, Recirculating Aquaculture. */
  growing: 0.092,
  /**
   * Fish that do not grow give all of it back, 0.16 of protein; about a fifth is in faeces and mulm that
   * are siphoned out: an assumption.
   */
  grown: 0.128,
};
export const nitrogenOfProtein = (stage: Stage): number =>
  grows(stage) ? N_OF_PROTEIN.growing : N_OF_PROTEIN.grown;
/** Grams of protein to one of nitrogen: what rots gives back all of it. */
export const PROTEIN_PER_N = 6.25;
/** mg nitrate to a mg of nitrogen, once it is nitrified. */
export const NITRATE_PER_N = 4.43;

/** Nitrate in mg/L that a class of species tolerates for months. Starting values, an assumption. */
export const STANDS_MG_L = { low: 20, moderate: 40, high: 80 };
