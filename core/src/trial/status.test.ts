import { growthBySize, ownPair } from '@open-larder/catalogue';
import { chanceOf } from '../chance';
import type { GrowthTask, Weighed } from '../growth/status';
import { usualLength } from '../growth/usual';
import { addDays } from '../round';
import { computeTrialStatus, type TrialSide, type TrialTask } from '.';

const FROM = '2026-01-01';
const species = {
  lengthMass: ownPair(0.0112, 3.04),
  adultLengthCm: 6,
  growth: growthBySize(6),
  tempOptC: 25,
} as GrowthTask['species'];
const measured = (day: number, mean: number, seed: number, n = 30, cv = 0.08): Weighed => {
  const chance = chanceOf(seed * 7919);
  const lengthsCm = Array.from({ length: n }, () => mean * (1 + cv * chance.normal()));
  return {
    day: addDays(FROM, day),
    lengthsCm,
    lengthCm: lengthsCm.reduce((sum, one) => sum + one, 0) / n,
    massG: null,
  };
};
const side = (...of: Weighed[]): TrialSide => ({ species, tempC: 25, count: 40, measured: of });
const task = (sides: TrialSide[], over: Partial<TrialTask> = {}): TrialTask => ({
  from: FROM,
  changedOn: null,
  upTo: addDays(FROM, 56),
  weeks: 8,
  difference: 0.3,
  sides,
  tubsEach: 1,
  ...over,
});
/** After so many days at a pace of its kind. */
const after = (days: number, pace: number) => usualLength(species, 25, 1.5, days * pace);

describe('a trial on sibling tubs', () => {
  it('shows a difference that is there, with its interval', () => {
    const status = computeTrialStatus(
      task([
        side(measured(0, 1.5, 1), measured(56, after(56, 1), 2)),
        side(measured(0, 1.5, 3), measured(56, after(56, 1.6), 4)),
      ]),
    );
    expect(status).toMatchObject({ weeksDone: 8, apart: false });
    expect(status.result).toMatchObject({ says: 'more' });
    expect(status.sides.map(({ begin, last }) => [begin!.n, last!.n])).toEqual([
      [30, 30],
      [30, 30],
    ]);
    expect(status.basis.cvMeasured).toBe(true);
  });

  it('shows none where there is none, and no conclusion where too few were measured', () => {
    const same = [1, 2].map((seed) => side(measured(0, 1.5, seed), measured(56, 2.5, seed + 9)));
    expect(computeTrialStatus(task(same)).result).toMatchObject({ says: 'none' });
    const few = [1, 2].map((seed) => side(measured(56, 2 + seed, seed, 2)));
    expect(computeTrialStatus(task(few)).result).toEqual({ refused: 'tooFew' });
    const first = side(measured(56, 2, 1, 30));
    expect(computeTrialStatus(task([first, side(measured(56, 3, 2, 9))])).result).toEqual({
      refused: 'unequal',
    });
  });

  it('unmeasured says so, and reckons with what is usual', () => {
    const status = computeTrialStatus(task([side(), side()]));
    expect(status).toMatchObject({
      result: { refused: 'unmeasured' },
      enough: null,
      apart: false,
      basis: { cv: 0.12, cvMeasured: false, lengthCm: 2 },
    });
    expect(status.basis.growsCm).toBeGreaterThan(0);
  });

  it('says where the sides differed before it began', () => {
    const [a, b] = [side(measured(-2, 1.5, 1)), side(measured(3, 1.9, 2))];
    expect(computeTrialStatus(task([a, b])).apart).toBe(true);
    // A sample of long before does not tell how it began.
    expect(computeTrialStatus(task([side(measured(-20, 1.5, 1)), b])).sides[0]!.begin).toBeNull();
  });

  it('takes fewer fish for more weeks, and knows when there are enough', () => {
    const sides = [1, 2].map((seed) => side(measured(0, 1.5, seed), measured(30, 2, seed + 9)));
    const status = computeTrialStatus(task(sides, { weeks: 10, difference: 0.6, tubsEach: 2 }));
    expect(status.needed.map(({ weeks }) => weeks)).toEqual([2, 4, 6, 8, 10, 12, 16]);
    const each = status.needed.map((one) => one.each ?? Infinity);
    expect([...each].sort((a, b) => b - a)).toEqual(each);
    expect(status.enough).toBe(30 >= each[4]!);
    expect(computeTrialStatus(task(sides, { weeks: 2, difference: 0.05 })).enough).toBe(false);
  });

  it('takes nothing that was measured after it ended', () => {
    const late = [1, 2].map((seed) => side(measured(70, 2 * seed, seed)));
    expect(computeTrialStatus(task(late)).result).toEqual({ refused: 'unmeasured' });
  });
});

describe('a trial on one tank', () => {
  const changedOn = addDays(FROM, 28);
  const lived = (pace: number) => {
    const middle = after(28, 1);
    return side(
      measured(0, 1.5, 1),
      measured(28, middle, 2),
      measured(56, usualLength(species, 25, middle, 28 * pace), 3),
    );
  };

  it('sets growth after against growth before, each against its kind', () => {
    expect(computeTrialStatus(task([lived(2.5)], { changedOn })).result).toMatchObject({
      says: 'more',
    });
    expect(computeTrialStatus(task([lived(1)], { changedOn })).result).toMatchObject({
      says: 'none',
    });
  });

  it('needs a sample before, at and after the change', () => {
    const { measured: all } = lived(1);
    for (const some of [all.slice(0, 2), all.slice(1), []]) {
      expect(computeTrialStatus(task([side(...some)], { changedOn })).result).toEqual({
        refused: 'unmeasured',
      });
    }
  });
});
