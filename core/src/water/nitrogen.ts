/** Constants, taken from here by what loads with the first screens: the rest of this room comes later. */

/**
 * Share of the protein eaten that leaves as ammonia nitrogen.
 * Source: Timmons & Ebeling, Recirculating Aquaculture.
 */
export const TAN_OF_PROTEIN = 0.092;
/** Grams of protein to one of nitrogen: what rots gives back all of it. */
export const PROTEIN_PER_N = 6.25;
/** mg nitrate to a mg of nitrogen, once it is nitrified. */
export const NITRATE_PER_N = 4.43;

/** Nitrate in mg/L that a class of species stands for months. Starting values, an assumption. */
export const STANDS_MG_L = { low: 20, moderate: 40, high: 80 };
