import type { FoodRow } from '@open-larder/contract';
import { jarOf, shelvesOf } from './shelves';

const food = (over: Partial<FoodRow>): FoodRow => ({
  id: 'f',
  name: 'Flake',
  family: 'grain',
  kind: 'dry',
  form: 'floats',
  composition: { protein: 0.4, fat: 0.1, fibre: 0, ash: 0.1, moisture: 0.1 },
  plantShare: 0.3,
  unit: { name: 'pinch', plural: 'pinches', massG: 0.05, step: 0.5 },
  version: 1,
  archived: false,
  lots: [],
  remainingG: 10,
  ...over,
});
const supply = (days: number | null, usedPerWeekG = 1) => ({
  foodId: 'f',
  days,
  usedPerWeekG,
  wastedG: 0,
  costPerDayMinor: null,
  buy: null,
});
const lot = (bestBefore: string) => ({
  id: 'l',
  foodId: 'f',
  amountG: 10,
  remainingG: 10,
  costMinor: null,
  boughtOn: '2026-01-01',
  openedOn: null,
  bestBefore,
  version: 1,
});
const sayDay = (day: string) => day;

describe('a jar', () => {
  it('is filled by days left', () => {
    expect(jarOf(food({}), supply(15), '2026-03-01', sayDay)).toMatchObject({
      fill: 15 / 45,
      short: false,
      words: '15 days',
    });
  });

  it('says when it runs short, when it is empty, and when no plan uses it', () => {
    expect(jarOf(food({}), supply(1), '2026-03-01', sayDay)).toMatchObject({
      short: true,
      words: '1 day',
    });
    expect(jarOf(food({ remainingG: 0 }), supply(0), '2026-03-01', sayDay)).toMatchObject({
      fill: 0,
      short: true,
      words: 'empty',
    });
    expect(jarOf(food({}), supply(null, 0), '2026-03-01', sayDay)).toMatchObject({
      fill: 1,
      words: 'not in a plan',
    });
  });

  it('puts its use-by first when that is near, and past dates as past', () => {
    const soon = jarOf(food({ lots: [lot('2026-03-04')] }), supply(90), '2026-03-01', sayDay);
    expect(soon).toMatchObject({ short: true, words: 'use by 2026-03-04' });
    expect(soon.useBy).toBeCloseTo(3 / 45, 9);
    expect(jarOf(food({ lots: [lot('2026-02-01')] }), supply(90), '2026-03-01', sayDay).words).toBe(
      'past 2026-02-01',
    );
    expect(
      jarOf(food({ lots: [lot('2027-02-01')] }), supply(90), '2026-03-01', sayDay).useBy,
    ).toBeNull();
  });

  it('stands where its kind is kept, and not at all when taken down', () => {
    const shelves = shelvesOf([
      food({ id: '1', name: 'B' }),
      food({ id: '2', name: 'A' }),
      food({ id: '3', kind: 'live' }),
      food({ id: '4', kind: 'gel', archived: true }),
    ]);
    expect(shelves.map((shelf) => [shelf.name, shelf.foods.map((one) => one.name)])).toEqual([
      ['Cupboard', ['A', 'B']],
      ['Live', ['Flake']],
    ]);
  });
});
