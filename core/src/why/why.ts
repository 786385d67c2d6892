/**
 * The derivation of a number, built while the number is computed and never a second time.
 * `value` is a number in `unit`, or a word where the input is one («fusiform», «night»).
 */
export interface Why {
  readonly label: string;
  readonly value: number | string;
  readonly unit: string;
  /** measured: seen or weighed by the keeper. assumed: a starting value. computed: from `from`. */
  readonly basis: 'measured' | 'assumed' | 'computed';
  /** The formula in words, for computed values. */
  readonly how?: string;
  /** Where the method or the figure comes from. */
  readonly source?: string;
  readonly from: readonly Why[];
}

/** A number together with its derivation. */
export interface Known extends Why {
  readonly value: number;
}

export function measured(label: string, value: number, unit: string, source?: string): Known {
  return { label, value, unit, basis: 'measured', source, from: [] };
}

export function assumed(label: string, value: number, unit: string, source: string): Known {
  return { label, value, unit, basis: 'assumed', source, from: [] };
}

/** An input that is a word, such as a body shape or a stage. */
export function worded(
  label: string,
  value: string,
  basis: 'measured' | 'assumed',
  source?: string,
): Why {
  return { label, value, unit: '', basis, source, from: [] };
}

interface Computation {
  label: string;
  unit: string;
  how: string;
  source?: string;
  from: readonly Why[];
}

/** Wrap a computed number. `from` are the inputs that `value` was computed with. */
export function computed(value: number, { label, unit, how, source, from }: Computation): Known {
  return { label, value, unit, basis: 'computed', how, source, from };
}
