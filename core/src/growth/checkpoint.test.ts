import { growthBySize, ownPair } from '@open-larder/catalogue';
import { addDays } from '../round';
import { computeGrowthStatus, usualLength, type GrowthTask } from '.';

const TODAY = '2026-03-11';
const species = {
  lengthMass: ownPair(0.0112, 3.04),
  adultLengthCm: 12,
  growth: { ...growthBySize(12), kPerYear: 1.2, spread: 1.35 },
  tempOptC: 26,
} as GrowthTask['species'];

/** Measured some days ago; born so many days before today. */
const status = (
  { lengthsCm, daysAgo = 0 }: { lengthsCm: number[] | null; daysAgo?: number },
  checkpoint: { lengthCm: number; ageDays: number | null },
  ageDays: number | null,
) =>
  computeGrowthStatus({
    species,
    tempC: 26,
    count: 30,
    measured:
      lengthsCm === null
        ? []
        : [
            {
              day: addDays(TODAY, -daysAgo),
              lengthCm: lengthsCm.reduce((sum, one) => sum + one, 0) / lengthsCm.length,
              lengthsCm,
              massG: null,
            },
          ],
    today: TODAY,
    targetCm: null,
    checkpoints: [{ name: '', ...checkpoint }],
    bornOn: ageDays === null ? null : addDays(TODAY, -ageDays),
  });
const even = (mean: number) => [0.98, 0.99, 1, 1.01, 1.02].map((times) => times * mean);

describe('a checkpoint', () => {
  it('is on time for fish well ahead, late for fish that cannot make it, unsure between', () => {
    const six = { lengthCm: 6, ageDays: 180 };
    const verdict = (cm: number) =>
      status({ lengthsCm: even(cm) }, six, 90).checkpoints[0]!.verdict;
    expect(verdict(5)).toBe('on time');
    expect(verdict(2)).toBe('late');
    // What its kind has at 90 days when it has 6 cm at 180: on the line.
    const back = usualLength(species, 26, 3.4, 90);
    expect(back).toBeGreaterThan(5.7);
    expect(back).toBeLessThan(6.4);
    expect(verdict(3.4)).toBe('unsure');
    expect(verdict(6.5)).toBe('reached');
  });

  it('says when it is due, and which of the measured come later', () => {
    const [one] = status(
      { lengthsCm: [4.6, 4.5, 4.4, 2.2, 2] },
      { lengthCm: 6, ageDays: 180 },
      90,
    ).checkpoints;
    expect(one).toMatchObject({ dueOn: addDays(TODAY, 90), late: 2, measured: 5 });
  });

  it('without a birth day or an age is due on no day, but its day is still told', () => {
    for (const [ageDays, born] of [
      [180, null],
      [null, 90],
    ] as const) {
      const [one] = status({ lengthsCm: even(3) }, { lengthCm: 4, ageDays }, born).checkpoints;
      expect(one).toMatchObject({ dueOn: null, verdict: null, late: null });
      expect(one!.reached).toMatchObject({ by: 'kind' });
    }
  });

  it('before any measurement or beyond their adult length promises nothing', () => {
    const [none] = status({ lengthsCm: null }, { lengthCm: 4, ageDays: 180 }, 90).checkpoints;
    expect(none).toMatchObject({ reached: null, verdict: null, late: null, measured: 0 });
    const [never] = status({ lengthsCm: even(3) }, { lengthCm: 40, ageDays: 180 }, 90).checkpoints;
    expect(never).toMatchObject({ reached: 'never', verdict: 'late' });
  });
});

describe('runts', () => {
  it('are those under 70 % of the mean, and not called from two fish', () => {
    const any = { lengthCm: 6, ageDays: null };
    expect(status({ lengthsCm: [4, 4, 4.2, 2] }, any, null).runts).toBe(1);
    expect(status({ lengthsCm: even(4) }, any, null).runts).toBe(0);
    expect(status({ lengthsCm: [4, 2] }, any, null).runts).toBe(0);
  });
});
