/** How a tank's water is changed. */
export interface WaterRhythm {
  /** Share of the water at a change, 0..1. */
  share: number;
  everyDays: number;
  /** Nitrate of the new water, mg/L. */
  sourceMgL: number;
  /** Nitrate that its fish stand, in the keeper's own words; else by their kinds. */
  capMgL?: number | null;
}

/** A quarter a week with water of 10 mg/L: an assumption if not said. */
export const USUAL_RHYTHM: WaterRhythm = { share: 0.25, everyDays: 7, sourceMgL: 10 };
