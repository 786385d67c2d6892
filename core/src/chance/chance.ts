/** Seeded chance: the same seed gives the same numbers on every machine. */
export interface Chance {
  /** Evenly in 0..1. */
  even: () => number;
  /** A normal deviate: mean 0, standard deviation 1. */
  normal: () => number;
}

/** Mulberry32, a 32-bit generator: ample for a few thousand draws. @param seed any integer */
export function chanceOf(seed: number): Chance {
  let state = seed >>> 0;
  const even = () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
  // Box and Muller: 1 − u is never zero.
  const normal = () => Math.sqrt(-2 * Math.log(1 - even())) * Math.cos(2 * Math.PI * even());
  return { even, normal };
}
