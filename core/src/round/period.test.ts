import { addDays, compileRound, periodOn, restsIn, type Period } from '.';
import { testHouse } from './house.testkit';

const period = (over: Partial<Period> = {}): Period => ({
  id: 'winter',
  name: 'Winter rest',
  when: { kind: 'dates', from: '11-01', to: '02-28' },
  share: 0.5,
  everyDays: 1,
  without: [],
  ...over,
});
const cold = (id: string, tempC: number) => period({ id, when: { kind: 'below', tempC } });
const ADULT = { stage: 'adult' } as const;
const on = (periods: readonly Period[], day: string, tempC = 20) =>
  periodOn(periods, ADULT, tempC, day)?.id ?? null;

describe('a part of the year', () => {
  it('holds between two days of every year, over the new year too', () => {
    for (const day of ['2025-11-01', '2026-01-15', '2026-02-28']) {
      expect(on([period()], day)).toBe('winter');
    }
    expect(on([period()], '2025-10-31')).toBeNull();
    expect(on([period()], '2026-03-01')).toBeNull();
    const may = period({ when: { kind: 'dates', from: '05-01', to: '05-31' } });
    expect(on([may], '2026-05-31')).toBe('winter');
    expect(on([may], '2026-06-01')).toBeNull();
  });

  it('follows another by temperature: the coldest that holds', () => {
    const by = [cold('cool', 15), cold('cold', 8)];
    expect(on(by, '2026-01-01', 18)).toBeNull();
    expect(on(by, '2026-01-01', 12)).toBe('cool');
    expect(on(by, '2026-01-01', 5)).toBe('cold');
    expect(on([...by].reverse(), '2026-01-01', 5)).toBe('cold');
  });

  it('is no matter of fry', () => {
    expect(periodOn([period({ share: 0 })], { stage: 'fry' }, 20, '2026-01-01')).toBeNull();
    expect(periodOn(null, ADULT, 20, '2026-01-01')).toBeNull();
  });

  it('rests on the days between, the same ones whatever the plan', () => {
    const other = period({ everyDays: 2 });
    const rests = Array.from({ length: 10 }, (_, at) => restsIn(other, addDays('2026-01-01', at)));
    rests.forEach((rest, at) => at > 0 && expect(rest).toBe(!rests[at - 1]));
    expect(restsIn(period({ share: 0 }), '2026-01-01')).toBe(true);
  });
});

describe('a round in a part of the year', () => {
  const DAY = '2026-01-14';
  const house = testHouse();
  const within = (over: Partial<Period>) => ({
    ...house,
    tanks: house.tanks.map((tank) => ({
      ...tank,
      plan: { ...tank.plan, periods: [period(over)] },
    })),
  });
  const served = (of: typeof house) =>
    compileRound(of, DAY)
      .moments.flatMap(({ stops }) => stops.flatMap(({ servings }) => servings))
      .reduce((sum, { portion }) => sum + portion.energyKj, 0);

  it('gives the share of it, and needs no more', () => {
    const usual = served(house);
    expect(usual).toBeGreaterThan(0);
    const half = served(within({ share: 0.5 }));
    expect(half).toBeGreaterThan(0.3 * usual);
    expect(half).toBeLessThan(0.7 * usual);
    const [group] = compileRound(within({ share: 0.5 }), DAY).groups;
    const [plain] = compileRound(house, DAY).groups;
    expect(group!.needKj.value).toBeCloseTo(plain!.needKj.value / 2, 6);
  });

  it('gives nothing in a rest, and says why', () => {
    const round = compileRound(within({ share: 0 }), DAY);
    expect(served(within({ share: 0 }))).toBe(0);
    expect(round.groups.some(({ rest }) => rest === 'period')).toBe(true);
  });

  it('leaves out what is not given then, and what else there is carries the day', () => {
    const foodId = house.groups[0]!.diet!.servings[0]!.foodId;
    const foods = compileRound(within({ share: 1, without: [foodId] }), DAY).moments.flatMap(
      ({ stops }) => stops.flatMap(({ servings }) => servings.map(({ food }) => food.id)),
    );
    expect(foods).not.toContain(foodId);
  });

  it('is as ever outside it', () => {
    expect(
      served(within({ share: 0, when: { kind: 'dates', from: '06-01', to: '06-30' } })),
    ).toBeCloseTo(served(house), 9);
  });
});
