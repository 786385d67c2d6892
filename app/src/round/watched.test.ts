import { PLAIN } from '@open-larder/core/round';
import { food, tank } from '../testing/house';
import { testNowMs } from '../testing/clock';
import { kept } from '../testing/storage';
import {
  dropTakenBack,
  dropWatched,
  liftAt,
  mealKey,
  watchedAgain,
  watchedReducer,
  watchEnded,
  type Watched,
} from './watched';

const drop = (key: string, over: object = {}) => ({
  key,
  foodId: 'f1',
  groupId: 'g1',
  atMin: 1110,
  massG: 0.06,
  zone: 'surface' as const,
  place: '',
  manner: PLAIN,
  ...over,
});
const MEAL = { tankId: 't1', day: '2026-03-04', momentId: 'evening' };
const start = () => watchedReducer(undefined, { type: 'start' });
const fed = (since: number, key: string, meal = MEAL) =>
  dropWatched({ ...meal, since, drop: drop(key) });

describe('meals being watched', () => {
  it('begin with the first serving; later ones join it', () => {
    let state = watchedReducer(start(), fed(1000, 'a'));
    state = watchedReducer(state, fed(61_000, 'b'));
    state = watchedReducer(state, fed(70_000, 'c', { ...MEAL, tankId: 't2' }));
    expect(Object.keys(state)).toHaveLength(2);
    const meal = state[mealKey(MEAL)]!;
    expect(meal.since).toBe(1000);
    expect(meal.drops.map(({ key }) => key)).toEqual(['a', 'b']);
    // The same serving again changes what it was, and adds nothing.
    state = watchedReducer(state, fed(80_000, 'b'));
    expect(state[mealKey(MEAL)]!.drops).toHaveLength(2);
  });

  it('lose what is taken back, and end with the last of it', () => {
    let state = watchedReducer(start(), fed(1000, 'a'));
    state = watchedReducer(state, fed(2000, 'b'));
    state = watchedReducer(state, dropTakenBack({ day: '2026-03-05', key: 'a' }));
    expect(state[mealKey(MEAL)]!.drops).toHaveLength(2);
    state = watchedReducer(state, dropTakenBack({ day: MEAL.day, key: 'a' }));
    expect(state[mealKey(MEAL)]!.drops.map(({ key }) => key)).toEqual(['b']);
    state = watchedReducer(state, dropTakenBack({ day: MEAL.day, key: 'b' }));
    expect(state).toEqual({});
  });

  it('are there again after a reload, but not those of the day before yesterday', () => {
    const now = testNowMs();
    let state = watchedReducer(start(), fed(now - 60_000, 'a'));
    state = watchedReducer(state, fed(now - 40 * 3_600_000, 'b', { ...MEAL, tankId: 't2' }));
    expect(Object.keys(state)).toHaveLength(2);
    expect(start()).toEqual({ [mealKey(MEAL)]: state[mealKey(MEAL)] });
    kept.set('open-larder.watched', '{"half": ');
    expect(start()).toEqual({});
  });

  it('end when they were seen, and come back when that is taken back', () => {
    const state = watchedReducer(start(), fed(1000, 'a'));
    const meal = state[mealKey(MEAL)]!;
    const ended = watchedReducer(state, watchEnded(meal));
    expect(ended).toEqual({});
    expect(watchedReducer(ended, watchedAgain(meal))).toEqual(state);
  });
});

describe('when it is lifted', () => {
  const meal = (over: Partial<Watched> = {}): Watched => ({
    ...MEAL,
    since: 0,
    drops: [drop('a')],
    ...over,
  });
  it('is the food’s own time after it went in, the longest of them', () => {
    // Fine flake is lifted after five minutes; a slice of the same meal after an hour.
    const slice = { ...food, id: 'slice', liftAfterMin: 60 };
    expect(liftAt(meal(), tank, [food])).toBe(5 * 60_000);
    const both = meal({ drops: [drop('a'), drop('b', { foodId: 'slice' })] });
    expect(liftAt(both, tank, [food, slice])).toBe(60 * 60_000);
    const later = meal({ drops: [drop('a', { manner: { ...PLAIN, afterMin: 10 } })] });
    expect(liftAt(later, tank, [food])).toBe(15 * 60_000);
  });

  it('is as the tank’s school has it, and never where nothing is lifted', () => {
    const school = {
      portion: 'weight',
      meals: 'two',
      lift: 'soon',
      staple: 'dry',
      fast: 'none',
      soak: 'dry',
    } as const;
    const slow = { ...food, liftAfterMin: 120 };
    const plan = { school } as NonNullable<typeof tank.plan>;
    expect(liftAt(meal(), { plan }, [slow])).toBe(15 * 60_000);
    expect(liftAt(meal(), tank, [{ ...food, liftAfterMin: null }])).toBeNull();
    expect(liftAt(meal(), tank, [])).toBeNull();
  });
});
