import type { FoodForm } from './vocabulary';

/** Until it is wet through, and once it is. By form; assumptions. */
const FLOATS_MIN: Record<FoodForm, number> = { floats: 10, sinksSlowly: 0.1, sinks: 0 };
const SINKS_CM_S: Record<FoodForm, number> = { floats: 0.5, sinksSlowly: 0.5, sinks: 3 };
/** A usual particle, where nothing else is known, mm. Assumption. */
const PARTICLE_MM = { smallest: 1, largest: 2 };

/** How a food of this form behaves in the water without a measurement. */
export const usualInWater = (form: FoodForm) => ({
  floatMinutes: FLOATS_MIN[form],
  sinkCmPerS: SINKS_CM_S[form],
  particleMinMm: PARTICLE_MM.smallest,
  particleMaxMm: PARTICLE_MM.largest,
});
