import fc from 'fast-check';
import { chanceOf, type Chance } from '../chance';
import { sampleOf } from '../growth';
import {
  beforeAfter,
  compared,
  randomised,
  fishByWeeks,
  fishFor,
  powerOf,
  type TrialResult,
} from '.';

const around = (mean: number, sd: number, n: number, seed: number) => {
  const chance = chanceOf(seed * 7919);
  return sampleOf(Array.from({ length: n }, () => mean + sd * chance.normal()));
};
const report = (result: ReturnType<typeof compared>): TrialResult => {
  if ('refused' in result) throw new Error(result.refused);
  return result;
};

describe('the power of a trial', () => {
  // Source: Cohen 1988, table 2.4.1, two-sided at 0.05: fish on each side.
  it.each([
    [0.2, 0.8, 393],
    [0.5, 0.8, 64],
    [0.8, 0.8, 26],
    [1.0, 0.8, 17],
    [0.5, 0.9, 85],
    [0.8, 0.9, 34],
    [1.0, 0.9, 22],
    [0.5, 0.5, 32],
  ])('to see %d standard deviations with a chance of %d takes %d on each side', (d, power, n) => {
    expect(Math.abs(fishFor(d, power)! - n)).toBeLessThanOrEqual(1);
  });

  it('grows with fish and with the difference, and is what happens', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 3, noNaN: true }),
        fc.integer({ min: 2, max: 200 }),
        (effect, each) => {
          expect(powerOf(effect, each + 1)).toBeGreaterThanOrEqual(powerOf(effect, each) - 1e-6);
          expect(powerOf(effect * 1.1, each)).toBeGreaterThanOrEqual(powerOf(effect, each) - 1e-6);
        },
      ),
      { numRuns: 50 },
    );
    let seen = 0;
    for (let seed = 1; seed <= 400; seed += 1) {
      const result = report(compared(around(3, 0.5, 17, seed), around(3.5, 0.5, 17, seed + 900)));
      if (result.says === 'more') seen += 1;
    }
    expect(seen / 400).toBeGreaterThan(powerOf(1, 17) - 0.06);
    expect(seen / 400).toBeLessThan(powerOf(1, 17) + 0.06);
  });

  it('says what cannot be seen', () => {
    expect(fishFor(0)).toBeNull();
    expect(fishFor(0.01)).toBeNull();
    expect(() => fishFor(1, 0.3)).toThrow(RangeError);
    expect(() => powerOf(1, 1)).toThrow(RangeError);
  });

  it('takes fewer fish for more weeks, and more where they share one tub', () => {
    const plan = { lengthCm: 2, cv: 0.1, growsCm: 0.15, difference: 0.3 };
    const each = fishByWeeks(plan, [2, 4, 8, 12], 2).map((row) => row.each ?? Infinity);
    expect([...each].sort((a, b) => b - a)).toEqual(each);
    const one = fishByWeeks(plan, [12], 1)[0]!.each ?? Infinity;
    expect(one).toBeGreaterThanOrEqual(each[3]!);
    // What does not grow shows no difference in growth.
    expect(fishByWeeks({ ...plan, growsCm: 0 }, [8])).toEqual([{ weeks: 8, each: null }]);
  });
});

describe('fish are assigned', () => {
  it('as many to each side, the same by the same seed, and of all sizes', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 1, max: 9, noNaN: true }), { minLength: 4, maxLength: 60 }),
        fc.integer(),
        (lengths, seed) => {
          const sides = randomised(lengths, seed);
          const a = sides.filter((side) => side === 'a').length;
          expect(Math.abs(2 * a - sides.length)).toBeLessThanOrEqual(1);
          expect(randomised(lengths, seed)).toEqual(sides);
        },
      ),
    );
    const lengths = Array.from({ length: 20 }, (_, at) => 1 + at / 10);
    const sides = randomised(lengths, 5);
    const mean = (side: string) =>
      lengths.filter((_, at) => sides[at] === side).reduce((sum, one) => sum + one, 0) / 10;
    expect(Math.abs(mean('a') - mean('b'))).toBeLessThan(0.11);
  });

  it('by chance alone where no lengths are known; each fish may come to either side', () => {
    const first = new Set(
      Array.from({ length: 20 }, (_, seed) => randomised([null, null, null, null], seed)[0]),
    );
    expect(first).toEqual(new Set(['a', 'b']));
    expect(() => randomised([1, 2], 1)).toThrow(RangeError);
  });
});

describe('what a trial showed', () => {
  it('of one kind of fish is seldom a difference, and the interval holds the truth', () => {
    let [false1, held] = [0, 0];
    for (let seed = 1; seed <= 500; seed += 1) {
      const result = report(compared(around(3, 0.4, 8, seed), around(3, 0.4, 8, seed + 900)));
      if (result.says !== 'none') false1 += 1;
      if (result.low <= 0 && 0 <= result.high) held += 1;
    }
    expect(false1 / 500).toBeLessThan(0.08);
    expect(held / 500).toBeGreaterThan(0.93);
  });

  it('known answer: Welch’s test of two small lots', () => {
    // Means 2 and 3, variances 0.5 and 0.5 of five: t 2.236 of 8, p 0.056.
    const result = report(
      compared(sampleOf([1, 2, 2, 2, 3].map((v) => v)), sampleOf([2, 3, 3, 3, 4].map((v) => v))),
    );
    expect(result.difference).toBeCloseTo(1, 9);
    expect(result.chance).toBeCloseTo(0.0557, 3);
    expect(result.says).toBe('none');
    expect(result.share).toBeCloseTo(0.5, 9);
  });

  it('nothing is said of too few, of one fish again and again, or of very unequal lots', () => {
    const lot = sampleOf([2, 2.2, 2.4]);
    expect(compared(sampleOf([2, 3]), lot)).toEqual({ refused: 'tooFew' });
    expect(compared(sampleOf([2, 2.1, 2.2], 1), lot)).toEqual({ refused: 'again' });
    expect(compared(lot, around(2, 0.2, 12, 1))).toEqual({ refused: 'unequal' });
  });

  it('before and after is reported against what its kind grows at that size', () => {
    const span = (from: number, to: number, usualCm: number) => ({
      from: around(from, 0.1, 10, 3),
      to: around(to, 0.1, 10, 4),
      days: 28,
      usualCm,
    });
    // Twice the usual after, as usual before, though it grew fewer centimetres.
    const result = beforeAfter(span(1, 2, 1), span(3, 3.8, 0.4));
    if ('refused' in result) throw new Error(result.refused);
    expect(result.says).toBe('more');
    expect(result.before).toBeCloseTo(1, 0);
    expect(result.after).toBeCloseTo(2, 0);
    expect(beforeAfter(span(1, 2, 1), span(3, 3.4, 0))).toEqual({ refused: 'tooFew' });
    const same = beforeAfter(span(1, 1.5, 0.5), span(2, 2.5, 0.5));
    expect('says' in same && same.says).toBe('none');
  });
});

describe('two diets that do not differ', () => {
  /** Fish of some tubs, each of which has its own luck: a twentieth of what fish differ by. */
  const side = (tubs: number, fish: number, chance: Chance) => {
    const luck = Array.from({ length: tubs }, () => chance.normal() * Math.sqrt(0.05));
    return sampleOf(
      Array.from(
        { length: fish },
        (_, at) => 3 + 0.36 * (luck[at % tubs]! + chance.normal() * Math.sqrt(0.95)),
      ),
    );
  };

  it.each([
    [1, 10],
    [1, 30],
    [1, 60],
    [2, 20],
    [2, 60],
    [4, 40],
    [4, 60],
  ])('are told apart at most five times in a hundred: %d tubs, %d fish a side', (tubs, fish) => {
    const chance = chanceOf(tubs * 7 + fish + 99);
    const runs = 4000;
    let concluded = 0;
    for (let run = 0; run < runs; run += 1) {
      const result = report(compared(side(tubs, fish, chance), side(tubs, fish, chance), tubs));
      if (result.says !== 'none') concluded += 1;
      expect(result.tubsOnly ?? false).toBe(tubs === 1);
    }
    // Five in a hundred, and what so many runs are off by.
    expect(concluded / runs).toBeLessThan(0.06);
  });
});
