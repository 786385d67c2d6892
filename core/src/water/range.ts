/** What a water test shows. Bases: ammonia as nitrogen (TAN), nitrite and nitrate as themselves, mg/L; °dGH; °C. */
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

/** mg of the ion to a mg of the nitrogen in it. Source: molar masses, 62.005, 46.006 and 18.039 to 14.007. */
export const PER_N = { nitrate: 4.4268, nitrite: 3.2845, ammonium: 1.2879 };

/** Nitrate that looks as if NO3-N and NO3 were mixed up: about 4.4 times the one before, or a part of it. */
export function unitMixedUp(before: number, now: number): boolean {
  if (before < 4 || now < 1) return false;
  const ratio = now / before;
  return Math.abs(ratio / PER_N.nitrate - 1) < 0.2 || Math.abs(ratio * PER_N.nitrate - 1) < 0.2;
}
