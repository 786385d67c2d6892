/** One known answer: what is asked, who says what comes out, and what the core computes. */
export interface Truth {
  topic: string;
  what: string;
  source: string;
  unit: string;
  /** Least and most that the source lets be true. */
  low: number;
  high: number;
  computed: number;
}

/** A figure with a tolerance as a share of it. */
export const near = (value: number, tolerance: number) => ({
  low: value - Math.abs(value) * tolerance,
  high: value + Math.abs(value) * tolerance,
});

export const holds = ({ low, high, computed }: Truth): boolean =>
  computed >= low && computed <= high;
