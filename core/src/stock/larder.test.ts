import { addDays, compileRound, type FeedingModel } from '../round';
import { testGroup, testHouse } from '../round/house.testkit';
import { larderOf, type Stocked } from '.';
import { plannedUse } from './plannedUse';

const MONDAY = '2026-03-02';
const flake = (over: Partial<Stocked> = {}): Stocked => ({
  id: 'flake',
  lots: [
    {
      id: 'l',
      amountG: 20,
      remainingG: 20,
      costMinor: 400,
      boughtOn: '2026-02-01',
      openedOn: '2026-02-01',
      bestBefore: null,
    },
  ],
  openedDays: null,
  leadDays: 4,
  sealedDays: null,
  loose: false,
  ...over,
});
const looking = { today: MONDAY, horizon: 120 };

/** Grams of flake on a day, by compiling that day's Round in full. */
function gramsOn(house: FeedingModel, day: string): number {
  return compileRound(house, day)
    .moments.flatMap((moment) => moment.stops.flatMap((stop) => stop.servings))
    .reduce((sum, { portion }) => sum + portion.massG, 0);
}

describe('the plan’s use', () => {
  const weekends = testGroup('g3', 'a');
  const house = testHouse({
    groups: [
      testGroup('g1', 'b'),
      testGroup('g2', 'a', { diet: null }),
      {
        ...weekends,
        diet: {
          ...weekends.diet!,
          servings: weekends.diet!.servings.map((one) => ({ ...one, days: [3, 6] })),
        },
      },
    ],
  });

  it('is that of the Rounds, day by day', () => {
    const use = plannedUse(house, MONDAY, 7);
    expect(use.map((one) => one.groupId)).toEqual(['g1', 'g3']);
    for (let index = 0; index < 7; index += 1) {
      const planned = use.reduce((sum, one) => sum + (one.gramsOn[index] as number), 0);
      expect(planned).toBeCloseTo(gramsOn(house, addDays(MONDAY, index)), 9);
    }
    expect(use[0]?.gramsOn[6]).toBe(0);
  });

  it('turns with the day on which it begins', () => {
    const [monday] = plannedUse(house, MONDAY, 7);
    const [sunday] = plannedUse(house, addDays(MONDAY, 6), 7);
    expect(sunday?.gramsOn).toEqual([
      monday?.gramsOn[6],
      ...(monday?.gramsOn.slice(0, 6) as number[]),
    ]);
  });

  it('leaves out a moment that was put away', () => {
    const [only] = plannedUse({ ...house, moments: house.moments.slice(0, 1) }, MONDAY, 7);
    const [both] = plannedUse(house, MONDAY, 7);
    expect(only?.gramsOn[0]).toBeLessThan(both?.gramsOn[0] as number);
  });
});

describe('the larder against the plan', () => {
  const house = testHouse();
  const weekG = Array.from({ length: 7 }, (_, at) => gramsOn(house, addDays(MONDAY, at))).reduce(
    (sum, grams) => sum + grams,
    0,
  );

  it('says how long a food lasts, what it costs, and whose it is', () => {
    const { foods, groups } = larderOf(house, [flake()], looking);
    const [food] = foods;
    expect(food?.usedPerWeekG).toBeCloseTo(weekG, 9);
    // Six feeding days in seven.
    const perDay = weekG / 6;
    const feedingDays = Math.floor(20 / perDay);
    const days = feedingDays + Math.floor(feedingDays / 6);
    expect(food?.days).toBe(days);
    expect(food?.costPerDayMinor).toBeCloseTo((20 * weekG) / 7, 9);
    expect(groups.map((one) => one.groupId)).toEqual(['g1', 'g2']);
    const sum = groups.reduce((total, one) => total + one.costPerDayMinor, 0);
    expect(sum).toBeCloseTo(food?.costPerDayMinor as number, 9);
    expect(food?.buy?.packs).toBe(Math.ceil((food?.buy?.massG.value as number) / 20));
  });

  it('says that a group costs more than is known, where a food has no price', () => {
    const unpriced = flake({ lots: flake().lots.map((lot) => ({ ...lot, costMinor: null })) });
    const { foods, groups } = larderOf(house, [unpriced], looking);
    expect(foods[0]?.costPerDayMinor).toBeNull();
    expect(groups.every((one) => one.inPart && one.costPerDayMinor === 0)).toBe(true);
  });

  it('throws away what is open too long, and runs out sooner for it', () => {
    const kept = larderOf(house, [flake({ openedDays: 33 })], looking).foods[0];
    // Opened on the first of February: good until the sixth of March.
    expect(kept?.waste).toMatchObject([{ lotId: 'l', on: '2026-03-07' }]);
    expect(kept?.days).toBe(5);
  });

  it('is made later than it would have to be ordered', () => {
    const runsOut = (leadDays: number) =>
      larderOf(house, [flake({ leadDays })], looking).foods[0]?.buy;
    expect(runsOut(1)?.runsOutOn).toBe(runsOut(7)?.runsOutOn);
    expect(addDays(runsOut(7)?.orderBy as string, 6)).toBe(runsOut(1)?.orderBy);
  });

  it('knows a food that nobody eats', () => {
    const { foods } = larderOf(house, [flake({ id: 'pellet' })], looking);
    expect(foods[0]).toMatchObject({ days: null, usedPerWeekG: 0, buy: null });
  });
});
