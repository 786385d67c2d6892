import { entryOf, ownPair, resolveSpecies, type Shape, type Species } from '@open-larder/catalogue';
import { loadCatalogue } from '@open-larder/catalogue/load';
import fc from 'fast-check';
import { measured } from '../why';
import { assumedLengthCm, hasOwnPair, lengthDoubt, lengthFromMass, massFromLength } from '.';

const { species } = loadCatalogue();
const of = (key: string): Species => species.find((row) => row.key === key)!;
const danio = of('danio-rerio');

const shaped = (shape: Shape) => ({
  lengthMass: resolveSpecies('test-row', {
    ...entryOf(danio),
    shape,
    scientific: 'Nova nova',
    family: 'Novidae',
  }).lengthMass,
});
const cm = (value: number) => measured('Mean total length', value, 'cm');

describe('mass from length', () => {
  // Worked by hand from the priors of Froese, Thorson & Reyes 2014.
  it.each([
    ['fusiform', 5, 1.4957],
    ['elongated', 4, 0.294],
    ['eel-like', 10, 1.1711],
    ['deep', 11, 27.198],
  ] as const)('%s of %d cm weighs %d g', (shape, length, grams) => {
    expect(massFromLength(shaped(shape), cm(length)).massG.value).toBeCloseTo(grams, 2);
  });

  it('takes the published pair before the prior, with a narrower spread', () => {
    const own = massFromLength({ lengthMass: ownPair(0.01, 3) }, cm(10));
    expect(own.massG.value).toBeCloseTo(10, 9);
    expect(own.spreadFactor).toBeLessThan(massFromLength(shaped('deep'), cm(10)).spreadFactor);
  });

  // Masses that keepers weigh: practice, for adults in ordinary condition.
  it.each([
    ['danio-rerio', 3.5, 0.35, 0.45],
    ['paracheirodon-innesi', 3, 0.2, 0.28],
    ['trigonostigma-heteromorpha', 2.8, 0.23, 0.32],
    ['poecilia-reticulata', 4, 0.8, 1.2],
  ])('%s of %d cm weighs %d to %d g', (key, length, low, high) => {
    const { value } = massFromLength(of(key), cm(length)).massG;
    expect(value).toBeGreaterThanOrEqual(low);
    expect(value).toBeLessThanOrEqual(high);
  });

  it('is taken from the species or its relatives in most of the catalogue', () => {
    const at = (...levels: string[]) =>
      species.filter(({ lengthMass }) => levels.includes(lengthMass.level)).length;
    expect(at('own', 'genus', 'family')).toBeGreaterThanOrEqual(200);
    expect(at('own', 'genus')).toBeGreaterThanOrEqual(80);
  });

  it('is surer the nearer the relatives are', () => {
    const spread = (level: string) =>
      species
        .filter(({ lengthMass }) => lengthMass.level === level)
        .map(({ lengthMass }) => lengthMass.spreadLog10);
    const mean = (of: number[]) => of.reduce((sum, one) => sum + one, 0) / of.length;
    expect(mean(spread('own'))).toBeLessThan(mean(spread('genus')));
    expect(mean(spread('genus'))).toBeLessThan(mean(spread('family')));
    expect(mean(spread('family'))).toBeLessThan(mean(spread('shape')));
  });

  it('takes standard length where the pair is of standard length, and is undone the same way', () => {
    const pair = { ...ownPair(0.02, 3), length: 'standard' as const, standardShare: 0.8 };
    const { massG } = massFromLength({ lengthMass: pair }, cm(5));
    expect(massG.value).toBeCloseTo(0.02 * 4 ** 3, 9);
    expect(massG.how).toMatch(/0.8 × total length/);
    expect(lengthFromMass({ lengthMass: pair }, massG.value)).toBeCloseTo(5, 9);
  });

  it('shows thin from stout only by a pair of its own kind', () => {
    expect(hasOwnPair(of('danio-rerio'))).toBe(true);
    expect(hasOwnPair(of('paracheirodon-innesi'))).toBe(false);
  });

  it('always gives a longer fish more mass', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('eel-like', 'elongated', 'fusiform', 'deep'),
        fc.double({ min: 0.1, max: 100, noNaN: true }),
        fc.double({ min: 1.001, max: 2, noNaN: true }),
        (shape, length, more) => {
          const one = massFromLength(shaped(shape as 'deep'), cm(length)).massG.value;
          const two = massFromLength(shaped(shape as 'deep'), cm(length * more)).massG.value;
          expect(two).toBeGreaterThan(one);
        },
      ),
    );
  });

  it('refuses impossible lengths in words', () => {
    expect(() => massFromLength(shaped('deep'), cm(0))).toThrow(/between 0.1 and 200/);
    expect(() => massFromLength(shaped('deep'), cm(Number.NaN))).toThrow(RangeError);
  });
});

describe('a length past what a species grows to', () => {
  const species = { adultLengthCm: 4 };

  it('is asked about from half over it on, and is a slip of the unit from four times on', () => {
    expect([6, 6.1, 16, 35].map((cm) => lengthDoubt(species, cm))).toEqual([
      null,
      'long',
      'long',
      'slip',
    ]);
  });
});

describe('animals that are no fish', () => {
  it('have priors of their own, and say that they are assumptions', () => {
    const shrimp = massFromLength(shaped('shrimp'), cm(2.5)).massG;
    const snail = massFromLength(shaped('snail'), cm(5)).massG;
    expect(shrimp.value).toBeCloseTo(0.1406, 3);
    expect(snail.value).toBeCloseTo(7.5, 6);
    for (const mass of [shrimp, snail]) expect(mass.source).toMatch(/Assumption/);
  });
});

describe('a first guess of length', () => {
  it('grows with the stage and never passes the adult length', () => {
    const species = { adultLengthCm: 10 };
    const lengths = (['yolk-sac larva', 'fry', 'juvenile', 'adult', 'old'] as const).map((stage) =>
      assumedLengthCm(species, stage),
    );
    expect(lengths).toEqual([1, 1.8, 5, 8.5, 9.5]);
  });
});
