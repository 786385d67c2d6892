/** A length that was measured some days of growth ago, and what that makes it today. */
export interface GrownFrom {
  measuredCm: number;
  /** Days of growth since. */
  days: number;
  /** How far the length of today may be off by how they grow, standard deviation of the logarithm. */
  sd: number;
}
