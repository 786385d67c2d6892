import type { WaterEvent } from '.';

let made = 0;

/** Something that happened to a tank's water; of a change a quarter, unless told otherwise. */
export const waterEvent = (
  kind: WaterEvent['kind'],
  day: string,
  over: Partial<WaterEvent> = {},
): WaterEvent => ({
  id: `w${(made += 1)}`,
  kind,
  day,
  share: kind === 'tested' ? null : 0.25,
  sure: false,
  tan: null,
  nitrite: null,
  nitrate: null,
  ph: null,
  gh: null,
  kh: null,
  tdsMgL: null,
  tempC: null,
  ...over,
});
