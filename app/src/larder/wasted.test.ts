import { food, supplyOf } from '../testing/house';
import { wastedOf } from './wasted';

const shelf = (...entries: [string, number, string][]) => {
  const foods = entries.map(([id]) => ({ ...food, id, name: id }));
  const supply = new Map(
    entries.map(([id, massG, on]) => [
      id,
      supplyOf(id, { waste: massG > 0 ? [{ lotId: 'l1', massG, on }] : [] }),
    ]),
  );
  return wastedOf(foods, supply);
};

describe('what will not be eaten in time', () => {
  it('stands in the order in which it goes off, with what it cost', () => {
    const wasted = shelf(['late', 30, '2026-06-01'], ['soon', 6, '2026-04-01']);
    expect(wasted.map((one) => one.food.id)).toEqual(['soon', 'late']);
    // 60 g were bought for 8.90.
    expect(wasted[0]?.costMinor).toBeCloseTo(89, 6);
  });

  it('leaves out crumbs, and what is all eaten', () => {
    expect(shelf(['crumbs', 2, '2026-04-01'], ['eaten', 0, ''])).toEqual([]);
  });
});
