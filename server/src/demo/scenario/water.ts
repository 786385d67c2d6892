/** How the water of a demo tank is kept, and what was tested and changed. */
export interface DemoWater {
  tank: string;
  share: number;
  everyDays: number;
  sourceMgL: number;
  source?: { name: string; tempC: number; gh: number; tdsMgL: number };
  second?: { name: string; tempC: number; gh: number; tdsMgL: number; nitrateMgL: number };
  mixTo?: { of: 'gh' | 'tdsMgL'; value: number };
  /** Days ago on which it was changed. */
  changed: readonly number[];
  /** Days ago, nitrate in mg/L, and what else was read. */
  tested: readonly [
    number,
    number,
    { ph?: number; nitrite?: number; tan?: number; gh?: number; tempC?: number }?,
  ][];
}

const tap = { name: 'tap', tempC: 11, gh: 14, tdsMgL: 320 };
const rain = { name: 'rain butt', tempC: 8, gh: 1, tdsMgL: 25, nitrateMgL: 1 };

/** Nitrate of the Millpond creeps up since the gouramis are conditioned; its change is a day late. */
export const WATER: readonly DemoWater[] = [
  {
    tank: 'Millpond',
    share: 0.25,
    everyDays: 7,
    sourceMgL: 8,
    source: tap,
    second: rain,
    mixTo: { of: 'gh', value: 7 },
    changed: [50, 43, 36, 29, 22, 15, 8],
    tested: [
      [51, 17, { ph: 6.9, gh: 7, nitrite: 0, tan: 0 }],
      [37, 16, { ph: 6.9 }],
      [23, 18, { ph: 6.9, nitrite: 0 }],
      [16, 19],
      [9, 27, { ph: 6.8, nitrite: 0.1 }],
      [2, 31, { ph: 6.7, gh: 7, nitrite: 0.1, tan: 0.1, tempC: 26 }],
    ],
  },
  {
    tank: 'Sluice',
    share: 0.2,
    everyDays: 4,
    sourceMgL: 8,
    source: tap,
    second: rain,
    mixTo: { of: 'gh', value: 6 },
    changed: [46, 42, 38, 34, 30, 26, 22, 18, 14, 10, 6, 2],
    tested: [
      [40, 13, { ph: 7.2, gh: 6 }],
      [19, 12, { ph: 7.3, nitrite: 0 }],
      [5, 14, { ph: 7.2, gh: 6, nitrite: 0, tan: 0 }],
    ],
  },
  {
    tank: 'Tarn',
    share: 0.15,
    everyDays: 5,
    sourceMgL: 4,
    source: tap,
    second: rain,
    mixTo: { of: 'tdsMgL', value: 90 },
    changed: [43, 38, 33, 28, 23, 18, 13, 8, 3],
    tested: [
      [30, 9, { ph: 6.4, gh: 4 }],
      [8, 10, { ph: 6.3 }],
    ],
  },
  {
    tank: 'Race',
    share: 0.4,
    everyDays: 21,
    sourceMgL: 8,
    source: tap,
    changed: [51, 30, 9],
    tested: [
      [31, 26, { ph: 6.6 }],
      [4, 16, { ph: 6.7, nitrite: 0 }],
    ],
  },
];
