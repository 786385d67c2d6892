/** How a food is given, beyond when, where and how much. */
export interface Manner {
  /** Minutes after the moment: by then the others are busy. */
  afterMin: number;
  /** Places that it is spread over. */
  spots: number;
  /** Taken down to its zone by pipette, tube or tongs, rather than let fall from the surface. */
  carried: boolean;
  /** Soaked before the meal, so that it sinks at once. */
  soaked: boolean;
  /** The group has it to itself, behind a divider or in a net. */
  apart: boolean;
}

export const PLAIN: Manner = { afterMin: 0, spots: 1, carried: false, soaked: false, apart: false };

/** Most minutes after a moment, and most places, that a hand will keep to. */
export const MAX_AFTER_MIN = 240;
export const MAX_SPOTS = 4;

/** One word for each way of giving: two that are alike have the same. */
export const mannerKey = ({ afterMin, spots, carried, soaked, apart }: Manner): string =>
  JSON.stringify([afterMin, spots, carried, soaked, apart]);
