import { massOfPieceG, widthAt } from '../src/mouth';
import { digestibleEnergy } from '../src/food';
import { unitMassFromSize } from '@open-larder/catalogue/foods';
import { catalogue, food } from './rows';
import type { Truth } from './truth';

/** mg of one piece of a size in mm: practice, weighed by the hundred. */
const PIECES: readonly [key: string, mm: number, low: number, high: number][] = [
  ['sinking-pellet-small', 1.3, 1.3, 2.2],
  ['sinking-pellet-medium', 2.5, 8, 13],
  ['sinking-pellet-large', 6, 120, 160],
  ['fine-flake', 4, 1, 3],
  ['nettle-wafer-large', 21, 2000, 3000],
  ['nettle-wafer-small', 9, 150, 250],
  ['dried-gammarus', 11, 5, 10],
  ['live-midge-larvae', 11, 4, 8],
  ['live-black-mosquito-larvae', 6, 3, 9],
  ['flightless-fruit-flies', 2.5, 0.7, 1.8],
];
/** Widths in mm of live and frozen prey, smallest and largest: practice of growers. */
const WIDTHS: readonly [key: string, low: number, high: number][] = [
  ['frozen-midge-larvae', 0.7, 1],
  ['live-midge-larvae', 0.7, 1],
  ['live-tubifex', 0.3, 0.6],
  ['live-blackworms', 0.8, 1],
  ['live-white-worms', 0.5, 0.8],
  ['grindal-worms-live', 0.3, 0.4],
  ['live-black-mosquito-larvae', 1, 1.5],
  ['frozen-brine-shrimp', 1, 2],
  ['hatched-brine-shrimp', 0.17, 0.22],
  ['live-microworms', 0.05, 0.1],
  ['vinegar-worms-live', 0.025, 0.05],
];
/** Digestible energy as an omnivore has it, kJ in a gram as fed. */
const ENERGY: readonly [key: string, low: number, high: number][] = [
  ['fine-flake', 13.5, 16.5],
  ['sinking-pellet-medium', 13, 16.5],
  ['frozen-midge-larvae', 1.4, 2.3],
  ['frozen-water-fleas', 0.8, 1.4],
  ['frozen-mysis', 2.1, 3.2],
  ['live-white-worms', 3, 4.6],
  ['courgette-slice', 0.4, 0.9],
];

/** Units that are one piece: what is written and what their size, form and density say. */
const COUNTED = catalogue.foods.filter(({ unitMl, kind }) => unitMl === null && kind !== 'mix');

export const foods: Truth[] = [
  ...PIECES.map(([key, mm, low, high]) => ({
    topic: 'Mass of a piece',
    what: `${food(key).name}, ${mm} mm`,
    source: 'Practice, weighed by the hundred',
    unit: 'mg',
    low,
    high,
    computed: massOfPieceG(food(key), mm) * 1000,
  })),
  ...WIDTHS.flatMap(([key, low, high]) =>
    (['Min', 'Max'] as const).map((end) => {
      const row = food(key);
      const expected = end === 'Min' ? low : high;
      return {
        topic: 'Width of prey',
        what: `${row.name}, ${end === 'Min' ? 'smallest' : 'largest'}`,
        source: 'Practice of growers',
        unit: 'mm',
        low: expected * 0.99,
        high: expected * 1.01,
        computed: widthAt(row, end === 'Min' ? row.particleMinMm : row.particleMaxMm),
      };
    }),
  ),
  ...ENERGY.map(([key, low, high]) => ({
    topic: 'Digestible energy',
    what: food(key).name,
    source: 'Proximate composition; NRC 2011 factors',
    unit: 'kJ/g as fed',
    low,
    high,
    computed: digestibleEnergy(food(key).name, food(key), 'omnivore').value,
  })),
  ...COUNTED.map((row) => {
    const expected = unitMassFromSize(row);
    return {
      topic: 'Mass of a serving unit against its size',
      what: `${row.name}, one ${row.unitName}`,
      source: 'Volume by form × density',
      unit: 'g',
      low: expected / 1.5,
      high: expected * 1.5,
      computed: row.unitMassG,
    };
  }),
];
