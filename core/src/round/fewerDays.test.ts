import { addDays, compileGroupDay, dietFindings, withFewerDays, type FewerDays } from '.';
import { testGroup, testHouse, testTank } from './house.testkit';

const MONDAY = '2026-11-23';
const house = testHouse();
const moments = new Map(house.moments.map((moment) => [moment.id, moment]));
const tank = testTank('a', 1);
const flake = house.foods[0]!;
/** Counted pellets, of which one is more than the group needs of them. */
const pellet = { ...flake, unit: { name: 'pellet', plural: 'pellets', massG: 0.0105, step: 1 } };
/** Ground fine, it can be measured to the milligram. */
const powder = { ...flake, id: 'powder', unit: { ...pellet.unit, massG: 0.001 } };
const foods = new Map([
  [flake.id, pellet],
  [powder.id, powder],
]);
const one = (over: object = {}) => {
  const group = testGroup('g', 'a', { count: 1, lengthCm: 3.5, stage: 'adult', ...over });
  const diet = { ...group.diet!, fastWeekdays: [] };
  const servings = [{ ...diet.servings[0]!, foodId: flake.id, days: [1, 2, 3, 4, 5, 6, 7] }];
  return { ...group, diet: { ...diet, servings } };
};
const week = (group: ReturnType<typeof one>) =>
  Array.from({ length: 7 }, (_, day) => compileGroupDay(group, tank, foods, addDays(MONDAY, day)));
const fewerOf = (group: ReturnType<typeof one>): FewerDays | null => {
  const found = dietFindings(group, tank, foods, moments, MONDAY).find(
    ({ kind }) => kind === 'rounding',
  );
  return found?.kind === 'rounding' ? found.fewer : null;
};
const given = (group: ReturnType<typeof one>) =>
  week(group).reduce((sum, day) => sum + day.plannedKj, 0);
const needed = (group: ReturnType<typeof one>) =>
  week(group).reduce((sum, day) => sum + day.needKj.value, 0);

describe('a portion that cannot be made small enough', () => {
  it('is offered on so few days that the week comes out right', () => {
    const group = one();
    const before = given(group) / needed(group);
    expect(before).toBeGreaterThan(1.25);
    const fewer = fewerOf(group)!;
    expect(fewer.days.length).toBeLessThan(7);
    expect(fewer.rests.length).toBe(7 - fewer.days.length);
    const after = { ...group, diet: withFewerDays(group.diet, group.diet.servings[0]!.id, fewer) };
    expect(Math.abs(given(after) / needed(group) - 1)).toBeLessThan(Math.abs(before - 1));
    expect(Math.abs(given(after) / needed(group) - 1)).toBeLessThan(0.25);
    // The days are spread: no wait is longer than the week over its days, rounded up.
    const waits = fewer.days.map((day, at) => (fewer.days[at + 1] ?? fewer.days[0]! + 7) - day);
    expect(Math.max(...waits)).toBe(Math.ceil(7 / fewer.days.length));
    // Nothing more is to be said of it.
    expect(fewerOf(after)).toBeNull();
  });

  it('makes no resting day where another food is given', () => {
    const group = one();
    const [first] = group.diet.servings;
    const beside = { ...first!, id: 'beside', foodId: powder.id, momentId: 'night' };
    const both = { ...group, diet: { ...group.diet, servings: [first!, beside] } };
    expect(fewerOf(both)?.rests).toEqual([]);
  });

  it.each([
    ['fry', { stage: 'fry' as const, lengthCm: 0.8 }],
    ['larvae of which one pellet is a week’s food', { lengthCm: 1.2 }],
  ])('is not offered for %s: no gut bears that', (_, over) => {
    expect(fewerOf(one(over))).toBeNull();
  });
});
