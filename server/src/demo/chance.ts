import { v7 as uuidv7 } from 'uuid';

/** Seeded chance (mulberry32): the same seed shows the same story. */
export interface Chance {
  /** 0 ≤ x < 1 */
  next(): number;
  /** A UUIDv7 for an instant, its random part drawn from this chance. */
  id(at: Date): string;
}

export function chanceFrom(seed: number): Chance {
  let state = seed >>> 0;
  const next = () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
  return {
    next,
    id: (at) =>
      uuidv7({
        msecs: at.getTime(),
        random: Uint8Array.from({ length: 16 }, () => Math.floor(next() * 256)),
      }),
  };
}
