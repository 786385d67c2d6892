import type { FoodRow } from '@open-larder/contract';
import { assumed } from '@open-larder/core/why';
import { food, supplyOf } from '../testing/house';
import { shoppingList } from './errands';
import type { FoodSupply } from './shelves';

const TODAY = '2026-03-10';
const buy = (orderBy: string, over: Partial<NonNullable<FoodSupply['buy']>> = {}) => ({
  runsOutOn: '2026-04-01',
  orderBy,
  late: false,
  massG: 12.5,
  why: assumed('Use', 12.5, 'g', 'test'),
  packs: 1,
  ...over,
});
const shelf = (...entries: [string, FoodSupply['buy'], Partial<FoodRow>?][]) => {
  const foods = entries.map(([id, , over]) => ({ ...food, id, name: id, ...over }));
  const supply = new Map(
    entries.map(([id, wanted]) => [
      id,
      supplyOf(id, { buy: wanted, packG: wanted?.packs === null ? null : 60 }),
    ]),
  );
  return shoppingList(foods, supply, TODAY);
};

describe('what to buy', () => {
  it('stands in the order in which it must be ordered', () => {
    const list = shelf(
      ['late', buy('2026-03-30')],
      ['soon', buy('2026-03-12')],
      ['now', buy('2026-03-10')],
    );
    expect(list.map((errand) => errand.food.id)).toEqual(['now', 'soon', 'late']);
    expect(list.map((errand) => errand.due)).toEqual([true, false, false]);
    expect(list.map((errand) => errand.soon)).toEqual([true, true, false]);
  });

  it('is said in packs where one was ever bought, and in grams where not', () => {
    const [pack, packs, grams] = shelf(
      ['a', buy('2026-03-11')],
      ['b', buy('2026-03-12', { packs: 3 })],
      ['c', buy('2026-03-13', { packs: null })],
    );
    expect(pack?.amount).toBe('1 pack of 60 g');
    expect(packs?.amount).toBe('3 packs of 60 g');
    expect(grams?.amount).toBe('12.5 g');
  });

  it('is made at home where there is a recipe, in grams', () => {
    const made = { ...food, id: 'gel', name: 'gel' };
    const line = supplyOf('gel', { buy: buy('2026-03-12'), homemade: true });
    const [errand] = shoppingList([made], new Map([['gel', line]]), TODAY);
    expect(errand).toMatchObject({ homemade: true, act: 'make', amount: '12.5 g' });
  });

  it('is bought at the corner where it is a vegetable', () => {
    const leaf = { ...food, id: 'leaf', kind: 'fresh' as const };
    const line = supplyOf('leaf', { buy: buy('2026-03-12', { packs: null }), packG: null });
    const [errand] = shoppingList([leaf], new Map([['leaf', line]]), TODAY);
    expect(errand).toMatchObject({ act: 'buy', amount: '12.5 g' });
  });

  it('leaves out what lasts, what was taken down, and what lives', () => {
    const list = shelf(
      ['lasts', null],
      ['down', buy('2026-03-10'), { archived: true }],
      ['lives', buy('2026-03-10'), { kind: 'live' }],
    );
    expect(list).toEqual([]);
  });

  it('that comes too late is due, whatever the day says', () => {
    const [errand] = shelf(['a', buy('2026-03-20', { late: true })]);
    expect(errand?.due).toBe(true);
  });
});
