import fc from 'fast-check';
import { compileGroupDay, dayOfCycle, fastOn, refusedFasts, WEEK, weekdayOf, addDays } from '.';
import { groupOnDay, type FastWhen } from '.';
import { testGroup, testHouse, testTank } from './house.testkit';

const group = testGroup('g', 'a');
const fast = (when: FastWhen, groupId: string | null = 'g') => [{ id: 'f', groupId, when }];

describe('a cycle', () => {
  it('of a week from a Monday counts as weekdays do', () => {
    for (let at = 0; at < 14; at += 1) {
      const day = addDays('2026-03-02', at);
      expect(dayOfCycle(WEEK, day)).toBe(weekdayOf(day));
    }
  });

  it('of any length comes round after its days, before its first day too', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 28 }),
        fc.integer({ min: -60, max: 60 }),
        (days, at) => {
          const cycle = { days, from: '2026-03-28' };
          const day = addDays(cycle.from, at);
          const of = dayOfCycle(cycle, day);
          expect(of).toBeGreaterThanOrEqual(1);
          expect(of).toBeLessThanOrEqual(days);
          expect(dayOfCycle(cycle, addDays(day, days))).toBe(of);
          expect(dayOfCycle(cycle, addDays(day, 1))).toBe((of % days) + 1);
        },
      ),
    );
    expect(dayOfCycle({ days: 3, from: '2026-03-28' }, '2026-03-28')).toBe(1);
  });

  it('of three days serves what stands on its days', () => {
    const foods = new Map(testHouse().foods.map((food) => [food.id, food]));
    const diet = group.diet!;
    const fed = {
      ...group,
      diet: {
        ...diet,
        fastWeekdays: [],
        servings: [{ ...diet.servings[0]!, days: [2] }],
      },
    };
    const plan = { cycle: { days: 3, from: '2026-03-02' }, fasts: [] };
    const servedOn = (day: string) =>
      compileGroupDay(fed, testTank('a', 1, { plan }), foods, day).servings.length;
    expect(['2026-03-02', '2026-03-03', '2026-03-04', '2026-03-06'].map(servedOn)).toEqual([
      0, 1, 0, 1,
    ]);
  });
});

describe('a fast', () => {
  it('is kept on its weekdays, between its dates, and while a stage lasts', () => {
    const weekly = fast({ kind: 'weekly', weekdays: [1] });
    expect(fastOn(weekly, group, '2026-03-02')).toBe(weekly[0]);
    expect(fastOn(weekly, group, '2026-03-03')).toBeNull();
    const dates = fast({ kind: 'dates', from: '2026-03-02', to: '2026-03-03' });
    expect(
      ['2026-03-01', '2026-03-02', '2026-03-03', '2026-03-04'].map(
        (day) => fastOn(dates, group, day) !== null,
      ),
    ).toEqual([false, true, true, false]);
    const resting = fast({ kind: 'stage', stage: 'resting' });
    expect(fastOn(resting, group, '2026-03-02')).toBeNull();
    expect(fastOn(resting, { ...group, stage: 'resting' }, '2026-03-02')).not.toBeNull();
  });

  it('lasts until something happens to the group, and not before it began', () => {
    const until = fast({ kind: 'until', from: '2026-03-05', event: 'born' });
    const born = (day: string) => ({ ...group, lastOn: { born: day } });
    expect(fastOn(until, group, '2026-03-04')).toBeNull();
    expect(fastOn(until, group, '2026-04-01')).not.toBeNull();
    // A brood before the fast began does not end it.
    expect(fastOn(until, born('2026-03-01'), '2026-03-06')).not.toBeNull();
    expect(fastOn(until, born('2026-03-07'), '2026-03-06')).not.toBeNull();
    expect(fastOn(until, born('2026-03-07'), '2026-03-07')).toBeNull();
  });

  it('of a tank holds for all but fry; of another group not at all', () => {
    const all = fast({ kind: 'weekly', weekdays: [1] }, null);
    expect(fastOn(all, group, '2026-03-02')).not.toBeNull();
    expect(fastOn(all, { ...group, stage: 'fry' }, '2026-03-02')).toBeNull();
    const other = fast({ kind: 'weekly', weekdays: [1] }, 'other');
    expect(fastOn(other, group, '2026-03-02')).toBeNull();
  });

  it('of fry is refused, with the hours that they stand', () => {
    const fry = testGroup('fry', 'a', { stage: 'fry', lengthCm: 0.6 });
    const groups = [group, fry].map((one) => ({
      ...one,
      onDay: groupOnDay(one, testTank('a', 1)),
    }));
    const fasts = [
      { id: 'ok', groupId: 'g', when: { kind: 'weekly' as const, weekdays: [1] } },
      { id: 'no', groupId: 'fry', when: { kind: 'weekly' as const, weekdays: [1] } },
    ];
    // Twelve hours at 25 °C.
    expect(refusedFasts(fasts, groups)).toEqual([{ fastId: 'no', groupId: 'fry', standsH: 12 }]);
  });
});
