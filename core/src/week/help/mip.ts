/** A column of a mixed-integer programme: its cost, its bounds, and whether it is whole. */
export interface Column {
  cost?: number;
  lower?: number;
  upper?: number;
  whole?: boolean;
}

/** A mixed-integer programme to be minimised, written down row by row. */
export class Mip {
  readonly costs: number[] = [];
  readonly lowers: number[] = [];
  readonly uppers: number[] = [];
  readonly wholes: boolean[] = [];
  readonly rowLowers: number[] = [];
  readonly rowUppers: number[] = [];
  /** Compressed rows. */
  readonly starts: number[] = [0];
  readonly indices: number[] = [];
  readonly values: number[] = [];

  /** @returns the place of the column */
  column({ cost = 0, lower = 0, upper = Infinity, whole = false }: Column): number {
    this.costs.push(cost);
    this.lowers.push(lower);
    this.uppers.push(upper);
    this.wholes.push(whole);
    return this.costs.length - 1;
  }

  /**
   * lower ≤ sum of value × column ≤ upper. A column that stands twice is added up.
   * @returns the place of the row
   */
  row(terms: readonly Term[], lower: number, upper: number): number {
    const sums = new Map<number, number>();
    for (const [column, value] of terms) sums.set(column, (sums.get(column) ?? 0) + value);
    for (const [column, value] of sums) {
      if (value === 0) continue;
      this.indices.push(column);
      this.values.push(value);
    }
    this.starts.push(this.indices.length);
    this.rowLowers.push(lower);
    this.rowUppers.push(upper);
    return this.rowLowers.length - 1;
  }
}

export type Term = readonly [column: number, value: number];

export interface SolveOptions {
  /** Forget that columns are whole. */
  relaxed?: boolean;
  /** A solution to begin with, one value for each column. */
  start?: readonly number[];
  /** Good enough: so far from the best bound, as a share. */
  gap: number;
  /** Seconds after which the best so far is taken. */
  seconds: number;
  /** Branches after which the best so far is taken: the same on every machine, unlike seconds. */
  nodes: number;
  /** Better solutions after which the last of them is taken. */
  improvements: number;
  /** Called with what a better solution costs. */
  onBetter?: (cost: number) => void;
}

export interface Solution {
  /** `good` within the gap; `stopped` by a limit with a solution in hand; `none` without one. */
  status: 'good' | 'stopped' | 'none';
  /** One value for each column. */
  values: number[];
  cost: number;
  /** How far from the best bound, as a share; 0 for what is not whole. */
  gap: number;
}

/** What solves a programme: given the same one it answers the same. */
export interface Solver {
  solve(mip: Mip, options: SolveOptions): Solution;
}
