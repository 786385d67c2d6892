import { parseMeasure } from '../src/units';
import { NITRATE_PER_N, PROTEIN_PER_N, unionisedShare } from '../src/water';
import { near, type Truth } from './truth';

/** Un-ionised ammonia, per cent of all, by pH and °C: Emerson et al. 1975, J. Fish. Res. Board Can. 32:2379. */
const UNIONISED: readonly [ph: number, tempC: number, percent: number][] = [
  [6.5, 20, 0.125],
  [7, 20, 0.396],
  [7.5, 20, 1.24],
  [8, 20, 3.82],
  [8.5, 20, 11.2],
  [9, 20, 28.4],
  [6.5, 25, 0.18],
  [7, 25, 0.566],
  [7.5, 25, 1.77],
  [8, 25, 5.38],
  [8.5, 25, 15.3],
  [9, 25, 36.3],
  [7, 30, 0.799],
  [8, 30, 7.46],
];
const METRIC = { units: 'metric', temperature: 'C', hardness: 'dGH' } as const;
/** What people write, and what it is. */
const WRITTEN: readonly [text: string, of: Parameters<typeof parseMeasure>[1], value: number][] = [
  ['1 200 l', 'volume', 1200],
  ['1,200 l', 'volume', 1200],
  ['1.200,5 l', 'volume', 1200.5],
  ['20 gal', 'volume', 75.708],
  ['20 imp gal', 'volume', 90.922],
  ['78F', 'temperature', 25.556],
  ['1 1/2 in', 'length', 3.81],
  ['107 ppm CaCO3', 'hardness', 5.995],
  ['<5', 'hardness', 5],
  ['~60 l', 'volume', 60],
  ['1/2 oz', 'mass', 14.175],
  ['10 °fH', 'hardness', 5.603],
];

export const water: Truth[] = [
  ...UNIONISED.map(([ph, tempC, percent]) => ({
    topic: 'Un-ionised ammonia',
    what: `pH ${ph}, ${tempC} °C`,
    source: 'Emerson et al. 1975, tables',
    unit: '% of all ammonia',
    ...near(percent, 0.03),
    computed: 100 * unionisedShare(ph, tempC),
  })),
  {
    topic: 'Nitrate from nitrogen',
    what: 'mg NO3 in 1 mg N',
    source: 'Molar masses 62.00 and 14.01',
    unit: 'mg',
    ...near(62.005 / 14.007, 0.005),
    computed: NITRATE_PER_N,
  },
  {
    topic: 'Nitrogen of protein',
    what: 'g protein to 1 g N',
    source: 'Kjeldahl factor',
    unit: 'g',
    ...near(6.25, 0.001),
    computed: PROTEIN_PER_N,
  },
  ...WRITTEN.map(([text, of, value]) => ({
    topic: 'Numbers as people write them',
    what: `«${text}»`,
    source: 'Definition of the units',
    unit: '',
    ...near(value, 0.001),
    computed: parseMeasure(text, of, METRIC).base ?? Number.NaN,
  })),
];
