import { PLAIN } from '@open-larder/core/round';
import { food, round, tank } from '../testing/house';
import {
  isLeaf,
  liftAt,
  mealAt,
  openDrops,
  putIn,
  setEnded,
  stands,
  takeOut,
  type DropInWater,
} from './inWater';

const DAY = '2026-03-04';
const MEAL = { tankId: 't1', day: DAY, momentId: 'evening' };
const drop = (key: string, over: Partial<DropInWater> = {}): DropInWater => ({
  key,
  foodId: 'f1',
  groupId: 'g1',
  atMin: 1110,
  massG: 0.06,
  zone: 'surface',
  place: '',
  manner: PLAIN,
  at: '2026-03-04T18:30:00.000Z',
  ended: false,
  ...over,
});
const keysOf = (view: ReturnType<typeof round>) =>
  view.inWater.map((meal) => openDrops(meal).map(({ key }) => key));

describe('what is in the water', () => {
  it('joins the meal of its moment, each serving once', () => {
    const view = round(DAY);
    for (const key of ['a', 'b', 'b']) putIn(view, MEAL, drop(key));
    putIn(view, { ...MEAL, tankId: 't2' }, drop('c'));
    expect(keysOf(view)).toEqual([['a', 'b'], ['c']]);
    expect(mealAt(view, { ...MEAL, day: '2026-03-05' })).toBeNull();
  });

  it('ends food by food, and the meal with the last of them', () => {
    const view = round(DAY);
    putIn(view, MEAL, drop('a'));
    putIn(view, MEAL, drop('b'));
    const meal = mealAt(view, MEAL)!;
    setEnded(view, meal, ['a'], true);
    expect(keysOf(view)).toEqual([['b']]);
    // What is gone was part of the meal still.
    expect(mealAt(view, MEAL)!.drops).toHaveLength(2);
    setEnded(view, mealAt(view, MEAL)!, ['b'], true);
    expect(view.inWater).toEqual([]);
    // Said by mistake: that one is back, the other stays gone.
    setEnded(view, { ...meal, drops: [drop('a', { ended: true }), drop('b')] }, ['b'], false);
    expect(keysOf(view)).toEqual([['b']]);
  });

  it('loses what is taken back', () => {
    const view = round(DAY);
    putIn(view, MEAL, drop('a'));
    putIn(view, MEAL, drop('b'));
    takeOut(view, '2026-03-05', 'a');
    expect(keysOf(view)).toEqual([['a', 'b']]);
    takeOut(view, DAY, 'a');
    takeOut(view, DAY, 'b');
    expect(view.inWater).toEqual([]);
  });
});

describe('when it is lifted', () => {
  const MIN = 60_000;
  const since = (at: number | null) => (at === null ? null : at - Date.parse(drop('a').at));

  it('is the food’s own time after it went in', () => {
    expect(since(liftAt(drop('a'), tank, [food]))).toBe(5 * MIN);
    const later = drop('a', { manner: { ...PLAIN, afterMin: 10 } });
    expect(since(liftAt(later, tank, [food]))).toBe(15 * MIN);
  });

  it('is as the tank’s feeding style has it, and never where nothing is lifted', () => {
    const feedingStyle = {
      portion: 'weight',
      meals: 'two',
      lift: 'soon',
      staple: 'dry',
      fast: 'none',
      soak: 'dry',
    } as const;
    const slow = { ...food, liftAfterMin: 120 };
    const plan = { feedingStyle } as NonNullable<typeof tank.plan>;
    expect(since(liftAt(drop('a'), { plan }, [slow]))).toBe(15 * MIN);
    expect(liftAt(drop('a'), tank, [{ ...food, liftAfterMin: null }])).toBeNull();
    expect(liftAt(drop('a'), tank, [])).toBeNull();
  });

  it('stands from six hours on: a slice over night, a leaf for weeks', () => {
    const lasting = (liftAfterMin: number, kind: 'dry' | 'fresh') => [
      { ...food, liftAfterMin, kind },
    ];
    expect(stands(drop('a'), tank, lasting(30, 'dry'))).toBe(false);
    expect(stands(drop('a'), tank, lasting(720, 'fresh'))).toBe(true);
    expect(isLeaf(drop('a'), lasting(720, 'fresh'))).toBe(false);
    expect(isLeaf(drop('a'), lasting(30_000, 'dry'))).toBe(true);
  });
});
