import type { FoodRow, LotRow } from '@open-larder/contract';
import { food as sample, supplyOf } from '../testing/house';
import { endsFirst, firstUseBy, jarOf, placeOf, shelvesOf } from './shelves';

const food = (over: Partial<FoodRow>): FoodRow => ({
  ...sample,
  lots: [],
  remainingG: 10,
  ...over,
});
const supply = (days: number | null, usedPerWeekG = 1) => supplyOf('f', { days, usedPerWeekG });
const lot = (bestBefore: string | null, over: Partial<LotRow> = {}): LotRow => ({
  id: 'l',
  foodId: 'f',
  amountG: 10,
  remainingG: 10,
  costMinor: null,
  place: 'cupboard',
  boughtOn: '2026-01-01',
  openedOn: null,
  bestBefore,
  version: 1,
  ...over,
});
const formatDay = (day: string) => day;

describe('a jar', () => {
  it('is filled by days left', () => {
    expect(jarOf(food({}), supply(15), '2026-03-01', formatDay)).toMatchObject({
      fill: 15 / 45,
      short: false,
      words: '15 days',
    });
  });

  it('says when it runs short, when it is empty, and when no plan uses it', () => {
    expect(jarOf(food({}), supply(1), '2026-03-01', formatDay)).toMatchObject({
      short: true,
      words: '1 day',
    });
    expect(jarOf(food({ remainingG: 0 }), supply(0), '2026-03-01', formatDay)).toMatchObject({
      fill: 0,
      short: true,
      words: 'empty',
    });
    expect(jarOf(food({}), supply(null, 0), '2026-03-01', formatDay)).toMatchObject({
      fill: 1,
      words: 'not in a plan',
    });
  });

  it('that lasts for long tells what ends first: its use, or its last good day', () => {
    const keeps = { ...sample.keeps, openedDays: 182 };
    const opened = food({
      keeps,
      remainingG: 238,
      lots: [lot(null, { remainingG: 238, openedOn: '2026-03-01' })],
    });
    expect(jarOf(opened, supply(null, 1), '2026-03-01', formatDay).words).toBe(
      '26 weeks, until it expires',
    );
    expect(endsFirst(opened, 1, '2026-03-01')).toEqual({ weeks: 26, wasteG: 212 });
    const eaten = { ...opened, remainingG: 20 };
    expect(jarOf(eaten, supply(null, 1), '2026-03-01', formatDay).words).toBe('20 weeks');
    expect(endsFirst(eaten, 1, '2026-03-01')).toEqual({ weeks: 20, wasteG: 0 });
    expect(endsFirst(eaten, 0, '2026-03-01')).toBeNull();
  });

  it('puts its use-by first when that is near, and past dates as past', () => {
    const soon = jarOf(food({ lots: [lot('2026-03-04')] }), supply(90), '2026-03-01', formatDay);
    expect(soon).toMatchObject({ short: true, words: 'use by 2026-03-04' });
    expect(soon.useBy).toBeCloseTo(3 / 45, 9);
    expect(
      jarOf(food({ lots: [lot('2026-02-01')] }), supply(90), '2026-03-01', formatDay).words,
    ).toBe('past 2026-02-01');
    expect(
      jarOf(food({ lots: [lot('2027-02-01')] }), supply(90), '2026-03-01', formatDay).useBy,
    ).toBeNull();
  });

  it('stands where its kind is kept, and not at all when taken down', () => {
    const shelves = shelvesOf(
      [
        food({ id: '1', name: 'B' }),
        food({ id: '2', name: 'A' }),
        food({ id: '3', name: 'Fleas', kind: 'live' }),
        food({ id: '4', kind: 'gel', archived: true }),
      ],
      '2026-03-01',
    );
    expect(shelves.map((shelf) => [shelf.name, shelf.foods.map((one) => one.name)])).toEqual([
      ['Cupboard', ['A', 'B']],
      ['Bench', ['Fleas']],
    ]);
  });

  it('stands with the lot that is used next, and by the last one when all are empty', () => {
    const lots = [
      lot('2026-09-01', { id: 'a', place: 'freezer' }),
      lot('2026-05-01', { id: 'b', place: 'fridge' }),
      lot('2026-04-01', { id: 'c', place: 'bench', remainingG: 0 }),
    ];
    expect(placeOf(food({ lots }), '2026-03-01')).toBe('fridge');
    const empty = lots.map((one) => ({ ...one, remainingG: 0 }));
    expect(placeOf(food({ lots: empty }), '2026-03-01')).toBe('bench');
  });

  it('has its notch where an opened lot ends, if that is before its best-before', () => {
    const lots = [lot('2026-09-01', { openedOn: '2026-03-01' })];
    const keeps = { sealedDays: null, openedDays: 5, preparedHours: null };
    expect(firstUseBy(food({ lots, keeps }))).toBe('2026-03-06');
    expect(firstUseBy(food({ lots: [lot(null)], keeps }))).toBeNull();
  });
});
