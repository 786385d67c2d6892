import type { Shape } from '@open-larder/catalogue';
import fc from 'fast-check';
import { measured } from '../why';
import { assumedLengthCm, impossibleLength, massFromLength } from '.';

const shaped = (shape: Shape) => ({
  shape,
  lwA: null,
  lwB: null,
  sourceSize: 'test row',
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
    const own = massFromLength({ ...shaped('deep'), lwA: 0.01, lwB: 3 }, cm(10));
    expect(own.massG.value).toBeCloseTo(10, 9);
    expect(own.spreadFactor).toBeLessThan(massFromLength(shaped('deep'), cm(10)).spreadFactor);
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

describe('a length that nobody believes', () => {
  it('is more than half over the record of its species', () => {
    const species = { common: 'Danios', adultLengthCm: 4 };
    expect(impossibleLength(species, 6)).toBeNull();
    expect(impossibleLength(species, 6.01)).toMatch(
      /grow to about 4 cm; 6.01 cm is more than half/,
    );
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
