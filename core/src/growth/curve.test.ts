import fc from 'fast-check';
import { chanceOf } from '../chance';
import { fitCurve, lengthOn, reaches, type Curve, type Point } from '.';

const von = (day: number) => 5 * (1 - Math.exp(-0.02 * (day + 10)));
const gompertz = (day: number) => 5 * Math.exp(-Math.exp(-0.03 * (day - 30)));

function points(
  of: (day: number) => number,
  seed: number,
  { days = 12, every = 12, n = 6, cv = 0.1 } = {},
): Point[] {
  // Seeds next to each other begin alike.
  const chance = chanceOf(seed * 7919);
  return Array.from({ length: days }, (_, at) => {
    const day = at * every;
    const values = Array.from({ length: n }, () => of(day) * (1 + cv * chance.normal()));
    return { day, n, lengthCm: values.reduce((sum, value) => sum + value, 0) / n };
  });
}

const fitted = (some: readonly Point[], maxCm = 6): Curve => {
  const fit = fitCurve(some, maxCm);
  if (!('curve' in fit)) throw new Error(fit.refused);
  return fit.curve;
};

describe('a growth curve', () => {
  it.each([
    ['vonBertalanffy', von],
    ['gompertz', gompertz],
  ] as const)('of %s is found again where nothing is off', (kind, of) => {
    const curve = fitted(points(of, 1, { cv: 0 }));
    expect(curve.kind).toBe(kind);
    expect(curve.linfCm).toBeCloseTo(5, 2);
    for (const day of [0, 50, 130]) expect(lengthOn(curve, day).cm).toBeCloseTo(of(day), 2);
  });

  it.each([
    ['von Bertalanffy', von],
    ['Gompertz', gompertz],
  ])('of %s lies within its interval for at least 93 of 100 seeds', (_, of) => {
    const seeds = 300;
    const days = [12, 60, 120];
    const within = days.map(() => 0);
    for (let seed = 1; seed <= seeds; seed += 1) {
      const curve = fitted(points(of, seed));
      days.forEach((day, at) => {
        const { low, high } = lengthOn(curve, day);
        if (low <= of(day) && of(day) <= high) within[at]! += 1;
      });
    }
    for (const count of within) expect(count / seeds).toBeGreaterThanOrEqual(0.93);
  });

  it('a length is reached within its days for at least 93 of 100 seeds', () => {
    const truth = -10 - Math.log(1 - 3.5 / 5) / 0.02;
    let within = 0;
    for (let seed = 1; seed <= 100; seed += 1) {
      const reached = reaches(fitted(points(von, seed)), 3.5)!;
      if (reached.from <= truth && (reached.to === null || truth <= reached.to)) within += 1;
      expect(reached.from).toBeLessThanOrEqual(reached.day);
    }
    expect(within).toBeGreaterThanOrEqual(93);
  });

  it('is refused where it would be made up, and says why', () => {
    const flat = points(() => 3, 3, { cv: 0.005 });
    const grows = points(von, 4);
    expect(fitCurve(grows.slice(0, 5), 6)).toEqual({ refused: 'tooFew' });
    expect(fitCurve(points(von, 4, { days: 6, every: 2 }), 6)).toEqual({ refused: 'tooShort' });
    expect(fitCurve(flat, 6)).toEqual({ refused: 'noGrowth' });
    const shrinks = grows.map((point, at) => ({ ...point, lengthCm: 4 - 0.1 * at }));
    expect(fitCurve(shrinks, 6)).toEqual({ refused: 'shrinks' });
    expect(fitCurve([], 6)).toEqual({ refused: 'tooFew' });
  });

  it('measurements of one day are one point of it', () => {
    const twice = points(von, 5).flatMap((point) => [
      { ...point, lengthCm: point.lengthCm + 0.1 },
      { ...point, lengthCm: point.lengthCm - 0.1 },
    ]);
    const [once, both] = [fitted(points(von, 5)), fitted(twice)];
    expect(both.freedom).toBe(once.freedom);
    expect(both.linfCm).toBeCloseTo(once.linfCm, 2);
    // Five values of one day are no growth that could be seen.
    const one = { day: 3, lengthCm: 2, n: 1 };
    expect(fitCurve([one, one, one, one, one, one], 6)).toEqual({ refused: 'tooFew' });
  });

  it('does not know its end while nothing has slowed', () => {
    const early = fitted(
      points((day) => 1 + 0.01 * day, 6, { days: 8, every: 7, cv: 0.02 }),
      30,
    );
    expect(early.endKnown).toBe(false);
    expect(fitted(points(von, 6)).endKnown).toBe(true);
  });

  it('is not followed further than it was seen, nor to what it never reaches', () => {
    const curve = fitted(points(von, 7));
    expect(reaches(curve, 9)).toBeNull();
    const reached = reaches(curve, 4)!;
    expect(lengthOn(curve, reached.day).cm).toBeCloseTo(4, 1);
  });

  it('whatever is measured, it answers with numbers or refuses', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            day: fc.integer({ min: 0, max: 400 }),
            lengthCm: fc.double({ min: 0.1, max: 60, noNaN: true }),
            n: fc.integer({ min: 1, max: 30 }),
          }),
          { maxLength: 20 },
        ),
        fc.double({ min: 1, max: 60, noNaN: true }),
        (some, maxCm) => {
          const fit = fitCurve(some, maxCm);
          if ('refused' in fit) return;
          const { cm, low, high } = lengthOn(fit.curve, fit.curve.to);
          expect([cm, low, high].every(Number.isFinite)).toBe(true);
          expect(low).toBeLessThanOrEqual(cm);
          expect(high).toBeGreaterThanOrEqual(cm);
        },
      ),
      { numRuns: 60 },
    );
  });
});
