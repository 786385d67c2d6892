import fc from 'fast-check';
import { chanceOf } from '../chance';
import {
  byDay,
  conditionWord,
  foodConversion,
  photoLength,
  relativeCondition,
  sampleOf,
  sortingOf,
  specificGrowthRate,
  survivalOf,
} from '.';

const around = (mean: number, sd: number, n: number, seed = 1) => {
  const chance = chanceOf(seed);
  return Array.from({ length: n }, () => mean + sd * chance.normal());
};

describe('a sample', () => {
  it('has mean, spread and interval', () => {
    const { n, mean, sd, cv, low, high } = sampleOf([2, 2.2, 2.4, 2.6, 2.8]);
    expect([n, mean, sd].map((value) => Math.round(value! * 1000) / 1000)).toEqual([5, 2.4, 0.316]);
    expect(cv).toBeCloseTo(0.1318, 3);
    // t of four is 2.776: ± 0.393 by the fish, a little more by the ruler.
    expect((high! - low!) / 2).toBeGreaterThan(0.393);
    expect((high! - low!) / 2).toBeLessThan(0.41);
  });

  it('of one fish has no interval, and says nothing of spread', () => {
    expect(sampleOf([3.1])).toEqual({
      n: 1,
      mean: 3.1,
      sd: null,
      cv: null,
      low: null,
      high: null,
      again: false,
    });
  });

  it('one fish measured ten times is one fish', () => {
    const same = sampleOf(around(3, 0.1, 10), 1);
    expect(same).toMatchObject({ n: 1, sd: null, cv: null, again: true });
    expect(sortingOf(around(3, 1.5, 10), same)).toBeNull();
    // Three fish, four values: one of them twice.
    expect(sampleOf([2, 3, 4, 4], 3)).toMatchObject({ n: 3, again: true });
  });

  it('all fish of a group measured leave the ruler’s doubt alone', () => {
    const values = around(3, 0.3, 12);
    const [all, some] = [sampleOf(values, 12), sampleOf(values, 200)];
    expect(all.high! - all.low!).toBeLessThan(0.5 * (some.high! - some.low!));
  });

  it('its interval holds the mean in about 95 of 100 samples', () => {
    let held = 0;
    for (let seed = 1; seed <= 400; seed += 1) {
      const { low, high } = sampleOf(around(3, 0.4, 6, seed));
      if (low! <= 3 && 3 <= high!) held += 1;
    }
    expect(held / 400).toBeGreaterThan(0.93);
  });

  it('two measurements on one day are one sample', () => {
    const days = byDay([
      { day: '2026-03-02', lengthCm: 2.1, lengthsCm: [2, 2.2] },
      { day: '2026-03-01', lengthCm: 2, lengthsCm: null },
      { day: '2026-03-02', lengthCm: 2.6, lengthsCm: null },
    ]);
    expect(days).toEqual([
      { day: '2026-03-01', values: [2] },
      { day: '2026-03-02', values: [2, 2.2, 2.6] },
    ]);
  });

  it('nothing, and what no fish is, is refused', () => {
    expect(() => sampleOf([])).toThrow(RangeError);
    expect(() => sampleOf([2, -1])).toThrow(RangeError);
    expect(() => sampleOf([Number.NaN])).toThrow(RangeError);
  });
});

describe('rates', () => {
  it('of growth: doubled in a week is 9.9 % a day; what shrinks is below nothing', () => {
    expect(specificGrowthRate(1, 2, 7)).toBeCloseTo(9.902, 3);
    expect(specificGrowthRate(2, 1, 7)).toBeCloseTo(-9.902, 3);
    expect(() => specificGrowthRate(1, 2, 0)).toThrow(RangeError);
  });

  it('of food say nothing where nothing was gained', () => {
    expect(foodConversion(3, 2)).toBe(1.5);
    expect(foodConversion(3, 0)).toBeNull();
    expect(foodConversion(3, -1)).toBeNull();
  });

  it('of condition are against what its kind weighs', () => {
    expect(conditionWord(relativeCondition(0.8, 1))).toBe('thin');
    expect(conditionWord(relativeCondition(1, 1))).toBe('as usual');
    expect(conditionWord(relativeCondition(1.3, 1))).toBe('stout');
  });
});

describe('sorting', () => {
  const of = (values: number[]) => sortingOf(values, sampleOf(values));

  it('is asked for from a spread of a fifth on, at once from a quarter', () => {
    expect(of(around(3, 0.3, 20))).toBeNull();
    expect(of(around(3, 0.72, 40))).toMatchObject({ urgent: false });
    expect(of(around(3, 0.95, 40))).toMatchObject({ urgent: true });
  });

  it('too few say nothing', () => {
    expect(of([1, 2, 3, 4])).toBeNull();
  });

  it('parts two batches where they lie apart', () => {
    const mixed = [...around(1.5, 0.1, 8), ...around(3, 0.1, 6, 2)];
    expect(of(mixed)).toMatchObject({ small: 8, large: 6, mixed: true });
    expect(of(mixed)!.atCm).toBeGreaterThan(1.8);
    expect(of(mixed)!.atCm).toBeLessThan(2.8);
  });

  it('one batch is seldom told to be two', () => {
    let report = 0;
    for (let seed = 1; seed <= 200; seed += 1) {
      if (of(around(3, 0.5, 12, seed))?.mixed) report += 1;
    }
    expect(report).toBeLessThan(20);
  });
});

describe('survival', () => {
  const event = (kind: 'arrived' | 'died' | 'sold' | 'counted', day: string, unsexed: number) => ({
    kind,
    day,
    males: 0,
    females: 0,
    unsexed,
    cause: kind === 'died' ? ('jumped' as const) : null,
  });

  it('sets losses against the days that were lived', () => {
    const lived = survivalOf(
      [event('arrived', '2026-01-01', 10), event('died', '2026-01-11', 2)],
      '2026-01-01',
      '2026-01-20',
    );
    expect(lived).toMatchObject({ fishDays: 100 + 80, died: 2 });
    expect(lived.causes).toEqual([{ cause: 'jumped', count: 2 }]);
    expect(lived.over30!.share).toBeCloseTo(Math.exp((-2 / 180) * 30), 6);
    expect(lived.over30!.low).toBeLessThan(lived.over30!.share);
    expect(lived.over30!.high).toBeGreaterThan(lived.over30!.share);
  });

  it('what left for elsewhere is no loss; before the span counts only what was there', () => {
    const lived = survivalOf(
      [
        event('arrived', '2025-12-01', 10),
        event('died', '2025-12-15', 1),
        event('sold', '2026-01-03', 4),
      ],
      '2026-01-01',
      '2026-01-10',
    );
    expect(lived).toMatchObject({ died: 0, fishDays: 2 * 9 + 8 * 5 });
    expect(lived.over30!.share).toBe(1);
    expect(lived.over30!.low).toBeLessThan(1);
  });

  it('where none lived, nothing is said', () => {
    expect(survivalOf([], '2026-01-01', '2026-01-10').over30).toBeNull();
  });
});

describe('a photo beside a ruler', () => {
  const ruler = { a: { x: 100, y: 500 }, b: { x: 600, y: 500 }, cm: 10 };

  it('shows a length by its scale, at any slant of the picture', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 6.2, noNaN: true }), (turn) => {
        const spin = ({ x, y }: { x: number; y: number }) => ({
          x: x * Math.cos(turn) - y * Math.sin(turn),
          y: x * Math.sin(turn) + y * Math.cos(turn),
        });
        const turned = { a: spin(ruler.a), b: spin(ruler.b), cm: 10 };
        const fish = { a: spin({ x: 150, y: 400 }), b: spin({ x: 310, y: 400 }) };
        expect(photoLength([turned], fish).cm).toBeCloseTo(3.2, 9);
      }),
    );
  });

  it('warns of a ruler seen at a slant, and reads the scale where the fish lies', () => {
    const far = { a: { x: 150, y: 100 }, b: { x: 550, y: 100 }, cm: 10 };
    const fish = { a: { x: 260, y: 300 }, b: { x: 350, y: 300 } };
    const { cm, warnings } = photoLength([ruler, far], fish);
    expect(warnings).toEqual(['slanted']);
    expect(cm).toBeCloseTo(90 / 45, 3);
    expect(photoLength([ruler], fish).warnings).toEqual([]);
  });

  it('warns of a fish far from the ruler', () => {
    const fish = { a: { x: 100, y: 1900 }, b: { x: 200, y: 1900 } };
    expect(photoLength([ruler], fish).warnings).toEqual(['farFromRuler']);
  });

  it('says how well a fingertip marks: better the larger it is drawn', () => {
    const fish = { a: { x: 150, y: 400 }, b: { x: 310, y: 400 } };
    const { sd } = photoLength([ruler], fish);
    expect(sd).toBeGreaterThan(0.05);
    expect(photoLength([ruler], fish, 0.5).sd).toBeLessThan(sd);
  });

  it('marks on one spot are refused', () => {
    expect(() => photoLength([{ ...ruler, b: ruler.a }], ruler)).toThrow(RangeError);
    expect(() => photoLength([ruler], { a: ruler.a, b: ruler.a })).toThrow(RangeError);
    expect(() => photoLength([], ruler)).toThrow(RangeError);
  });
});
