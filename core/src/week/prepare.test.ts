import { testGroup, testHouse, testTank } from '../round/house.testkit';
import { batchesOf, preparing } from '.';

const step = (
  kind: 'soak' | 'rinse' | 'blanch' | 'open-freeze' | 'thaw',
  leadMin: number,
  workMin = 1,
) => ({
  kind,
  leadMin,
  workMin,
  toMm: null,
});
const MONDAY = '2026-03-02';

describe('what is to be prepared', () => {
  const house = testHouse();
  const soaked = (keepsPreparedHours: number | null) => [
    { id: 'flake', steps: [step('soak', 120), step('rinse', 1)], keepsPreparedHours },
  ];

  it('begins early enough for its meal, the evening before where it must', () => {
    // The first meal is at 07:30, the second at 21:20; each is prepared 121 minutes before.
    const [first, second] = preparing(house, soaked(null), MONDAY, 1);
    expect(first).toMatchObject({ foodId: 'flake', readyMin: 450, startMin: 329, workMin: 2 });
    expect(second).toMatchObject({ readyMin: 1280, startMin: 1159 });
    const [night] = preparing(
      house,
      [{ ...soaked(null)[0]!, steps: [step('soak', 600)] }],
      MONDAY,
      1,
    );
    expect(night!.startMin).toBe(-150);
  });

  it('is done once for all tanks and moments that it keeps for', () => {
    const [both] = preparing(house, soaked(null), MONDAY, 1);
    expect(both!.meals.map(({ tankId }) => tankId).sort()).toEqual(['a', 'b']);
    const [all, ...others] = preparing(house, soaked(24), MONDAY, 1);
    expect(others).toEqual([]);
    expect(all!.meals).toHaveLength(4);
    expect(all!.units).toBeCloseTo(
      all!.meals.reduce((sum, meal) => sum + meal.units, 0),
      9,
    );
  });

  it('is nothing for what is served as it is, or on a fast', () => {
    expect(
      preparing(house, [{ id: 'flake', steps: [], keepsPreparedHours: 2 }], MONDAY, 7),
    ).toEqual([]);
    expect(preparing(house, soaked(2), '2026-03-08', 1)).toEqual([]);
  });

  it('serves a tank that is fed later by its own lights', () => {
    const late = testHouse({
      tanks: [testTank('b', 2, { light: { onMin: 600, offMin: 60 } }), testTank('a', 1)],
      groups: [testGroup('g1', 'b')],
    });
    const night = preparing(late, soaked(1), MONDAY, 1).at(-1)!;
    expect(night.readyMin).toBe(1440 + 60 + 20);
  });

  it('is put by at the weekend where it keeps: a week of it in one batch', () => {
    const foods = [
      {
        id: 'flake',
        steps: [step('blanch', 5, 10), step('open-freeze', 120, 5), step('thaw', 10)],
        keepsPreparedHours: 2,
      },
    ];
    const [batch] = batchesOf(house, foods, MONDAY, 7);
    expect(batch!.steps.map(({ kind }) => kind)).toEqual(['blanch', 'open-freeze']);
    const daily = preparing(house, foods, MONDAY, 7);
    expect(daily.every(({ steps }) => steps.map(({ kind }) => kind).join() === 'thaw')).toBe(true);
    expect(batch!.massG).toBeCloseTo(
      daily.reduce((sum, one) => sum + one.massG, 0),
      9,
    );
    expect(batchesOf(house, soaked(2), MONDAY, 7)).toEqual([]);
  });
});
