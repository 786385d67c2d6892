import fc from 'fast-check';
import {
  compileGroupDay,
  dayOfCycle,
  fastOn,
  fastsOf,
  refusedFasts,
  restOn,
  unsafeFasts,
  WEEK,
  weekdayOf,
  addDays,
} from '.';
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
    expect(refusedFasts(fasts, groups)).toEqual([{ fastId: 'no', groupId: 'fry', toleratesH: 12 }]);
  });
});

describe('a fast that lasts too long', () => {
  const tank = (fasts: { id: string; groupId: string | null; when: FastWhen }[]) =>
    testTank('a', 1, { plan: { cycle: WEEK, fasts } });
  const unsafe = (over: object, fasts: Parameters<typeof tank>[0]) => {
    const one = { ...group, ...over };
    return unsafeFasts(
      tank(fasts).plan,
      [{ ...one, onDay: groupOnDay(one, tank(fasts)) }],
      '2026-03-02',
    );
  };
  const dates = (to: string) => [{ id: 'f', groupId: null, when: { kind: 'dates' as const, from: '2026-03-03', to } }]; // prettier-ignore

  it('is named with the day on which it stops being safe, of any kind', () => {
    const [{ safeH, unsafeOn, from }] = unsafe({}, dates('2026-06-01')) as [ReturnType<typeof unsafe>[number]]; // prettier-ignore
    expect(from).toBe('2026-03-03');
    expect(unsafeOn).toBe(addDays('2026-03-03', Math.floor(safeH / 24)));
    expect(unsafe({}, dates('2026-03-04'))).toEqual([]);
    for (const when of [
      { kind: 'stage', stage: 'resting' },
      { kind: 'until', from: '2026-03-02', event: 'born' },
    ] as FastWhen[]) {
      expect(unsafe({ stage: 'resting' }, [{ id: 'f', groupId: 'g', when }])).toHaveLength(1);
    }
  });

  it('is made of the resting days of the diet and of the plan together', () => {
    const diet = { ...group.diet!, fastWeekdays: [1, 2, 3, 4, 5] };
    const plan = [{ id: 'f', groupId: null, when: { kind: 'weekly' as const, weekdays: [6] } }];
    expect(fastsOf({ ...group, diet }, { fasts: plan })).toHaveLength(2);
    expect(restOn({ ...group, diet }, tank(plan), '2026-03-07')).toBe('fast');
    expect(restOn({ ...group, diet }, tank(plan), '2026-03-08')).toBeNull();
    const small = { diet, lengthCm: 1.2, stage: 'juvenile' as const };
    expect(unsafe(small, plan)).toHaveLength(1);
  });

  it('comes sooner for young fish, grazers and sunken bellies, and never for fry, which eat', () => {
    const days = (over: object) => {
      const [one] = unsafe(over, dates('2026-12-01'));
      return one ? one.safeH : Infinity;
    };
    const usual = days({});
    expect(days({ stage: 'juvenile' })).toBeCloseTo(usual / 2, 6);
    expect(days({ belly: 1 })).toBeLessThan(usual);
    expect(days({ species: { ...group.species, guild: 'film scraper' } })).toBeLessThan(usual);
    expect(days({ stage: 'fry' })).toBe(Infinity);
  });
});
