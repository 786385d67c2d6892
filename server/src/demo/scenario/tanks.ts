import type { FilmSeen, TankFurnishing, TankKind, TankShape } from '@open-larder/core';

export interface DemoTank {
  name: string;
  /** Inside length, width, height and water level in cm. */
  size: [number, number, number, number];
  tempC: number;
  ph: number;
  gh: number | null;
  /** Minutes after midnight: lights on, lights off. */
  light: [number, number];
  kind: TankKind;
  shape?: TankShape;
  /** What the keeper has said of it; the rest is guessed. */
  furnished?: Partial<TankFurnishing>;
  /** The film that was seen on glass, wood and stones; left out where it was not seen. */
  film?: FilmSeen;
  /** For how many days it has run; left out: as long as there are records. */
  runsDays?: number;
}

export const TANKS = [
  {
    name: 'Millpond',
    size: [120, 45, 50, 45],
    tempC: 26,
    ph: 6.9,
    gh: 7,
    light: [600, 1200],
    kind: 'display',
    furnished: { ground: 'sand', groundDepthCm: 5, decor: 'much', plants: 'many' },
    film: 'thin',
    runsDays: 900,
  },
  {
    name: 'Sluice',
    size: [90, 40, 35, 31],
    tempC: 22,
    ph: 7.2,
    gh: 6,
    light: [540, 1140],
    kind: 'display',
    furnished: { ground: 'gravel', flow: 'strong', decor: 'much', filter: 'external' },
    film: 'furred',
    runsDays: 500,
  },
  {
    name: 'Tarn',
    size: [100, 40, 50, 45],
    tempC: 25.5,
    ph: 6.4,
    gh: 4,
    light: [600, 1200],
    kind: 'display',
    furnished: { ground: 'sand', groundDepthCm: 4, cover: 'tight', plants: 'many' },
  },
  {
    name: 'Race',
    size: [80, 40, 40, 36],
    tempC: 25,
    ph: 6.6,
    gh: null,
    light: [660, 1200],
    kind: 'display',
    shape: 'bow front',
  },
  {
    name: 'Alder',
    size: [60, 30, 30, 26],
    tempC: 24,
    ph: 6.5,
    gh: 5,
    light: [540, 1140],
    kind: 'breeding',
    furnished: { cover: 'tight' },
  },
  {
    name: 'Withy',
    size: [60, 35, 35, 31],
    tempC: 25.5,
    ph: 6.8,
    gh: null,
    light: [540, 1200],
    kind: 'grow-out',
  },
  {
    name: 'Fern tub',
    size: [30, 20, 18, 12],
    tempC: 24.5,
    ph: 6.6,
    gh: null,
    light: [420, 1260],
    kind: 'fry tub',
  },
  {
    name: 'Trough',
    size: [70, 45, 40, 34],
    tempC: 13,
    ph: 7.4,
    gh: 12,
    light: [480, 1020],
    kind: 'outdoor tub',
    shape: 'tapered tub',
  },
] as const satisfies readonly DemoTank[];
export type TankName = (typeof TANKS)[number]['name'];
