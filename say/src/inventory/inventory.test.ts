import { foodNamed, speciesNamed } from '@open-larder/catalogue/search';
import { loadCatalogue } from '@open-larder/catalogue/load';
import { readInventory, type Names } from '.';

const { species, foods } = loadCatalogue();
const names: Names = {
  species: speciesNamed(species),
  foods: foodNamed(foods),
  tanks: new Map([['tarn', 't-tarn']]),
};
const METRIC = { units: 'metric', temperature: 'C', hardness: 'dGH' } as const;
const US = { units: 'us', temperature: 'F', hardness: 'ppm' } as const;
const read = (text: string, units: Parameters<typeof readInventory>[2] = METRIC) =>
  readInventory(text, names, units);
const fish = (text: string) =>
  read(text).tanks.flatMap(({ groups }) =>
    groups.map(({ speciesKey, count }) => [speciesKey, count] as const),
  );

it('reads a tank, its fish and the shelf as a keeper would write them down', () => {
  const found = read(
    [
      '90 l, 25°, planted, lights 14–22',
      '24 harlequins 3 cm, 8 panda corys, pair of dwarf gouramis, 20 amano shrimp',
      'flake, frozen bloodworm, algae wafers, live daphnia',
    ].join('\n'),
  );
  expect(found.unread).toEqual([]);
  expect(found.tanks).toHaveLength(1);
  expect(found.tanks[0]!.facts).toEqual({
    litres: 90,
    tempC: 25,
    plants: 'many',
    lightOnMin: 840,
    lightOffMin: 1320,
  });
  expect(found.tanks[0]!.groups).toMatchObject([
    { speciesKey: 'trigonostigma-heteromorpha', count: 24, lengthCm: 3 },
    { speciesKey: 'corydoras-panda', count: 8, lengthCm: null },
    { speciesKey: 'trichogaster-lalius', count: 2, males: 1, females: 1 },
    { speciesKey: 'caridina-multidentata', count: 20 },
  ]);
  expect(found.foods.map(({ foodKey }) => foodKey)).toEqual([
    'fine-flake',
    'frozen-midge-larvae',
    expect.stringMatching(/wafer/),
    'live-water-fleas',
  ]);
});

describe('a tank', () => {
  const facts = (text: string, units?: Parameters<typeof readInventory>[2]) =>
    read(text, units).tanks[0]?.facts;
  it.each([
    ['60 x 30 x 36 cm', { lengthCm: 60, widthCm: 30, heightCm: 36 }],
    ['60 l, sand with oak leaves', { litres: 60, ground: 'leaf litter' }],
    ['80 l, leaf litter', { litres: 80, ground: 'leaf litter' }],
    ['54 litre tank, 24.5 °C, sand', { litres: 54, tempC: 24.5, ground: 'sand' }],
    [
      '125l bare bottom, sponge filter, ph 6,8',
      { litres: 125, ground: 'bare', filter: 'sponge', ph: 6.8 },
    ],
    ['lights on 10:00 off 20:30', { lightOnMin: 600, lightOffMin: 1230 }],
    ['lights 2pm to 10pm', { lightOnMin: 840, lightOffMin: 1320 }],
    ['78 F', { tempC: expect.closeTo(25.56, 1) }],
    ['gh 6, unheated, open top', { gh: 6, unheated: true, cover: 'open' }],
    ['heavily planted quarantine tank 30 l', { litres: 30, plants: 'dense', kind: 'quarantine' }],
  ])('%s', (text, wanted) => {
    const found = read(text);
    expect(found.unread).toEqual([]);
    expect(found.tanks).toHaveLength(1);
    expect(found.tanks[0]!.facts).toEqual(wanted);
  });

  it('in gallons and inches, where a keeper types them', () => {
    expect(facts('20 gal, 78°', US)).toEqual({
      litres: expect.closeTo(75.7, 1),
      tempC: expect.closeTo(25.56, 1),
    });
    expect(facts('24 x 12 x 16 in', US)).toMatchObject({ lengthCm: expect.closeTo(60.96, 2) });
  });

  it('begins with its size: a second one is another tank, and each keeps its fish', () => {
    const { tanks } = read('90 l, 24 harlequins\n30 l, 1 betta\nTarn: 6 otocinclus');
    expect(tanks.map(({ id, name, groups }) => [id, name, groups.length])).toEqual([
      [null, null, 1],
      [null, null, 1],
      ['t-tarn', 'Tarn', 1],
    ]);
  });

  it('may have a name before its facts', () => {
    expect(read('Mill pool: 180 l planted, 12 neon tetras').tanks).toMatchObject([
      { id: null, name: 'Mill pool', facts: { litres: 180, plants: 'many' } },
    ]);
  });
});

describe('fish', () => {
  it.each([
    ['a betta', 1],
    ['school of 12 neon tetras', 12],
    ['a dozen zebra danios', 12],
    ['6x neon tetra', 6],
    ['trio of guppies', 3],
    ['three kuhli loaches', 3],
  ])('%s', (text, count) => {
    expect(fish(text).map(([, number]) => number)).toEqual([count]);
    expect(read(text).unread).toEqual([]);
  });

  it('with sexes, stages and lengths, in whatever order', () => {
    const [group] = read('guppies 2m 4f adult').tanks[0]!.groups;
    expect(group).toMatchObject({ males: 2, females: 4, count: 6, stage: 'adult' });
    const [young] = read('30 young pearl gouramis 1,5-2 cm').tanks[0]!.groups;
    expect(young).toMatchObject({ count: 30, stage: 'juvenile', lengthCm: 1.75 });
    expect(read('20 neon tetras 1 in', US).tanks[0]!.groups[0]!.lengthCm).toBeCloseTo(2.54, 6);
  });

  it('without a number are asked about, and not taken for one', () => {
    expect(fish('neon tetras')).toEqual([['paracheirodon-innesi', null]]);
  });

  it('beside the tank in one breath', () => {
    const { tanks, unread } = read('90 l planted with 24 harlequins and 8 panda corys');
    expect(unread).toEqual([]);
    expect(tanks).toHaveLength(1);
    expect(tanks[0]!.groups.map(({ count }) => count)).toEqual([24, 8]);
  });
});

it('what it does not understand stays as it was typed', () => {
  const { unread, tanks, foods: eaten } = read('qwzxv, 24 harlequins, blorp 7');
  expect(unread).toEqual(['qwzxv', 'blorp 7']);
  expect(tanks[0]!.groups).toHaveLength(1);
  expect(eaten).toEqual([]);
});

it('reads nothing into nothing, and a food once', () => {
  expect(read('')).toEqual({ tanks: [], foods: [], unread: [] });
  expect(read('flake, flakes\nflake').foods).toHaveLength(1);
});
