import fc from 'fast-check';
import { chanceOf } from '../chance';
import {
  asRead,
  asShown,
  bandAround,
  calibrationOf,
  isInside,
  recordOf,
  widened,
  type Scored,
} from '.';

/** Truths around 100 with a spread, forecast with a band that believes in another. */
const worlds = (count: number, believes: number, seed = 1): Scored[] => {
  const chance = chanceOf(seed);
  return Array.from({ length: count }, () => ({
    low: 100 - 1.645 * 10 * believes,
    middle: 100,
    high: 100 + 1.645 * 10 * believes,
    actual: 100 + 10 * chance.normal(),
  }));
};
const insideOf = (scored: readonly Scored[]) => scored.filter(isInside).length / scored.length;

describe('bands that learn from how right they were', () => {
  it.each([0.4, 1, 2.5])(
    'hold nine of ten in the end, though they began %s times as wide',
    (by) => {
      const scored = worlds(600, by);
      const shown = asShown(scored);
      if (by !== 1) expect(Math.abs(insideOf(shown.slice(0, 20)) - 0.9)).toBeGreaterThan(0.05);
      expect(insideOf(shown.slice(60))).toBeGreaterThan(0.86);
      expect(insideOf(shown.slice(60))).toBeLessThan(0.95);
      expect(calibrationOf(scored)).toBeCloseTo(1 / by, 0);
    },
  );

  it('stay as they are until twenty came true', () => {
    expect(calibrationOf(worlds(19, 0.3))).toBe(1);
    expect(calibrationOf(worlds(20, 0.3))).toBeGreaterThan(1.5);
    expect(asShown(worlds(10, 0.3))).toEqual(worlds(10, 0.3));
  });

  it('are shown as they were known then: what came later changes none before it', () => {
    const scored = worlds(60, 0.5);
    expect(asShown(scored).slice(0, 30)).toEqual(asShown(scored.slice(0, 30)));
  });

  it('never turn over or below nothing', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 50, noNaN: true }),
        fc.double({ min: 0, max: 50, noNaN: true }),
        fc.double({ min: 0, max: 100, noNaN: true }),
        fc.double({ min: 0.3, max: 5, noNaN: true }),
        (below, above, middle, times) => {
          const band = widened({ low: middle - below, middle, high: middle + above }, times);
          expect(band.low).toBeGreaterThanOrEqual(0);
          expect(band.low).toBeLessThanOrEqual(middle);
          expect(band.high).toBeGreaterThanOrEqual(middle);
        },
      ),
    );
  });

  it('widen by what reading adds, and hold nine of ten of a logarithm', () => {
    const read = asRead({ low: 20 - 3, middle: 20, high: 20 + 3 }, 4 / 1.645);
    expect(read.high - 20).toBeCloseTo(5, 9);
    expect(bandAround(10, 0.2).high / 10).toBeCloseTo(Math.exp(0.329), 9);
  });
});

describe('the record of a kind', () => {
  it('says how many, how far off, how many inside, and how that changed', () => {
    expect(recordOf([])).toBeNull();
    const one = (actual: number): Scored => ({ low: 8, middle: 10, high: 12, actual });
    expect(recordOf([one(11), one(13), one(10)])).toEqual({
      count: 3,
      medianError: 1,
      inside: 2,
      calibration: null,
      change: null,
    });
    const better = [16, 15, 14, 6, 10, 11, 9, 10].map(one);
    expect(recordOf(better)!.change).toEqual({
      first: { count: 4, medianError: 4.5, inside: 0 },
      last: { count: 4, medianError: 0.5, inside: 4 },
    });
  });
});
