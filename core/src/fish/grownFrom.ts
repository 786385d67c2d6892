/** A length that was measured some days of growth ago, and what that makes it today. */
export interface GrownFrom {
  measuredCm: number;
  /** Days of growth since. */
  days: number;
  /** Nine in ten are between these lengths today, cm. */
  lowCm: number;
  highCm: number;
  /** How far the length of today may be off by how they grow, standard deviation of the logarithm. */
  sd: number;
}
