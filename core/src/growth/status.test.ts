import { growthBySize, ownPair } from '@open-larder/catalogue';
import fc from 'fast-check';
import { chanceOf } from '../chance';
import { addDays } from '../round';
import { computeGrowthStatus, usualLength, type GrowthTask, type Weighed } from '.';

const TODAY = '2026-03-11';
const species = {
  lengthMass: ownPair(0.0112, 3.04),
  adultLengthCm: 6,
  growth: { ...growthBySize(6), kPerYear: 2, spread: 1.8 },
  tempOptC: 25,
} as GrowthTask['species'];
const task = (measured: Weighed[], over: Partial<GrowthTask> = {}): GrowthTask => ({
  species,
  tempC: 25,
  count: 40,
  measured,
  today: TODAY,
  targetCm: null,
  ...over,
});
const at = (daysAgo: number, lengthsCm: number[], massG: number | null = null): Weighed => ({
  day: addDays(TODAY, -daysAgo),
  lengthCm: lengthsCm.reduce((sum, one) => sum + one, 0) / lengthsCm.length,
  lengthsCm,
  massG,
});
const around = (mean: number, seed: number, n = 8, cv = 0.06) => {
  const chance = chanceOf(seed * 7919);
  return Array.from({ length: n }, () => mean * (1 + cv * chance.normal()));
};
/** Measured every two weeks while they grow as their kind does, times a pace. */
const grown = (pace: number, seed = 1) =>
  Array.from({ length: 9 }, (_, index) =>
    at(112 - index * 14, around(usualLength(species, 25, 1, index * 14 * pace), seed + index)),
  );

describe('how a group grows', () => {
  it('unmeasured says nothing; measured once says its size alone', () => {
    expect(computeGrowthStatus(task([]))).toMatchObject({
      samples: [],
      refused: 'tooFew',
      against: null,
      growthRate: null,
      reached: null,
    });
    const once = computeGrowthStatus(task([at(3, [2, 2.2, 2.1])]));
    expect(once.samples).toHaveLength(1);
    expect(once).toMatchObject({ against: null, growthRate: null, shrank: null });
  });

  it('as its kind does, is as usual; half as fast is behind, faster is ahead', () => {
    expect(computeGrowthStatus(task(grown(1))).against).toBe('as usual');
    expect(computeGrowthStatus(task(grown(0.4))).against).toBe('behind');
    expect(computeGrowthStatus(task(grown(2))).against).toBe('ahead');
  });

  it('calls a healthy group behind its kind in at most one case of twenty', () => {
    let behind = 0;
    const runs = 200;
    for (let seed = 0; seed < runs; seed += 1) {
      // Healthy fish of one kind grow by half and by twice as fast: food and water differ.
      const pace = Math.exp(0.3 * chanceOf(seed * 31 + 7).normal());
      if (computeGrowthStatus(task(grown(pace, seed * 17))).against === 'behind') behind += 1;
    }
    expect(behind / runs).toBeLessThanOrEqual(0.05);
  });

  it('full-grown is never behind', () => {
    const old = computeGrowthStatus(task([at(60, around(6.2, 1)), at(2, around(6.1, 2))]));
    expect(old.against).not.toBe('behind');
  });

  it('shows when a length is reached: by its own curve, or by its kind', () => {
    const own = computeGrowthStatus(task(grown(1), { targetCm: 4.5 }));
    expect(own.reached).toMatchObject({ by: 'curve' });
    const few = computeGrowthStatus(
      task(grown(1).slice(0, 3), { targetCm: 3, today: addDays(TODAY, -84) }),
    );
    expect(few.reached).toMatchObject({ by: 'kind' });
    for (const status of [own, few]) {
      const report = status.reached as { day: string; from: string; to: string | null };
      expect(report.from <= report.day).toBe(true);
      expect(report.to === null || report.day <= report.to).toBe(true);
    }
    expect(computeGrowthStatus(task(grown(1), { targetCm: 1 })).reached).toBe('there');
    expect(computeGrowthStatus(task(grown(1), { targetCm: 60 })).reached).toBe('never');
  });

  it('shrinking fish are said, where it is more than measuring is off', () => {
    const shrank = computeGrowthStatus(task([at(20, around(3, 1)), at(1, around(2.4, 2))]));
    expect(shrank.shrank).not.toBeNull();
    expect(shrank.growthRate!.perDay).toBeLessThan(0);
    expect(
      computeGrowthStatus(task([at(20, around(3, 1)), at(1, around(2.97, 2))])).shrank,
    ).toBeNull();
    expect(computeGrowthStatus(task([at(20, [3]), at(1, [2])])).shrank).toBeNull();
  });

  it('one fish measured ten times is one fish', () => {
    const status = computeGrowthStatus(task([at(1, around(3, 1, 10))], { count: 1 }));
    expect(status.samples[0]).toMatchObject({ n: 1, again: true, cv: null });
    expect(status.sorting).toBeNull();
  });

  it('two measurements on one day are one; two batches in a tank are told apart', () => {
    const status = computeGrowthStatus(task([at(1, around(1.5, 1, 7)), at(1, around(3, 2, 6))]));
    expect(status.samples).toHaveLength(1);
    expect(status.sorting).toMatchObject({ mixed: true, small: 7, large: 6 });
  });

  it('what they weigh is reported against what their kind weighs at that length', () => {
    const usual = computeGrowthStatus(task([at(1, [3, 3, 3])])).samples[0]!.massG;
    const word = (massG: number) =>
      computeGrowthStatus(task([at(1, [3, 3, 3], massG)])).condition?.word;
    expect(word(usual)).toBe('as usual');
    expect(word(usual * 0.7)).toBe('thin');
    expect(word(usual * 1.4)).toBe('stout');
  });

  it('whatever was measured, there are numbers and no fish of a day to come', () => {
    const some = fc.array(
      fc.record({
        ago: fc.integer({ min: -20, max: 300 }),
        lengths: fc.array(fc.double({ min: 0.2, max: 30, noNaN: true }), {
          minLength: 1,
          maxLength: 12,
        }),
      }),
      { maxLength: 12 },
    );
    fc.assert(
      fc.property(some, fc.integer({ min: 0, max: 50 }), (rows, count) => {
        const status = computeGrowthStatus(
          task(
            rows.map(({ ago, lengths }) => at(ago, lengths)),
            { count, targetCm: 4 },
          ),
        );
        for (const sample of status.samples) {
          expect(sample.day <= TODAY).toBe(true);
          expect(Number.isFinite(sample.massG)).toBe(true);
        }
        if (status.growthRate) expect(Number.isFinite(status.growthRate.perDay)).toBe(true);
      }),
      { numRuns: 60 },
    );
  });
});

describe('usual growth', () => {
  it('never goes back, and slows towards the end', () => {
    let before = 1;
    let step = Infinity;
    for (let days = 30; days <= 360; days += 30) {
      const now = usualLength(species, 25, 1, days);
      expect(now).toBeGreaterThan(before);
      expect(now - before).toBeLessThanOrEqual(step + 1e-9);
      [step, before] = [now - before, now];
    }
    expect(usualLength(species, 25, 9, 100)).toBe(9);
    // Colder water, slower growth.
    expect(usualLength(species, 20, 1, 90)).toBeLessThan(usualLength(species, 25, 1, 90));
  });
});
