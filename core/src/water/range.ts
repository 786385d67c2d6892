/** What a water test tells. Bases: ammonia as nitrogen (TAN), nitrite and nitrate as themselves, mg/L; °dGH; °C. */
export const READINGS = ['tan', 'nitrite', 'nitrate', 'ph', 'gh', 'kh', 'tdsMgL', 'tempC'] as const;
export type Reading = (typeof READINGS)[number];

/** What a reading may be in the base unit: outside it was misread, or is in another unit. */
export const READING_RANGE: Record<Reading, readonly [number, number]> = {
  tan: [0, 20],
  nitrite: [0, 30],
  nitrate: [0, 500],
  ph: [3, 11],
  gh: [0, 60],
  kh: [0, 60],
  tdsMgL: [0, 20_000],
  tempC: [0, 40],
};
