import fc from 'fast-check';
import type { Food } from '../ration';
import { dailyNeed } from '../ration';
import { addDays, compileGroupDay, groupOnDay } from '../round';
import { testGroup, testHouse, testTank } from '../round/house.testkit';
import {
  bellySigns,
  changedDiet,
  effectOf,
  mealSign,
  MAX_CHANGE,
  mixingOf,
  propose,
  refusedFoods,
} from '.';
import type { Sign, WatchedMeal } from '.';

const TODAY = '2026-03-10';
const ago = (days: number) => addDays(TODAY, -days);
const sign = (daysAgo: number, pull: number, over: Partial<Sign> = {}): Sign => ({
  seen: { kind: 'belly', score: 3, still: false },
  day: ago(daysAgo),
  pull,
  weight: 1,
  ...over,
});
const meal = (over: Partial<WatchedMeal> = {}): WatchedMeal => ({
  day: TODAY,
  clearedMin: 10,
  left: null,
  staysMin: 16,
  part: 1,
  came: null,
  ...over,
});

describe('what a meal says of a portion', () => {
  it.each([
    ['gone within its time: right', {}, 0],
    ['gone at once: too little', { clearedMin: 0 }, 1],
    ['gone in half of an eager time', { clearedMin: 1 }, 0.5],
    ['gone long after it should have been lifted', { clearedMin: 40 }, -1],
    ['a quarter left: too much', { left: 0.25, clearedMin: null }, -0.5],
    ['nothing left when it was lifted: right', { left: 0, clearedMin: null }, 0],
    ['all left', { left: 1, clearedMin: null }, -1],
  ])('%s', (_, over, pull) => {
    expect(mealSign(meal(over))?.pull).toBeCloseTo(pull, 9);
  });

  it('is nothing where the group did not come, or nobody saw when it was gone', () => {
    expect(mealSign(meal({ came: 0, clearedMin: 0 }))).toBeNull();
    expect(mealSign(meal({ clearedMin: null }))).toBeNull();
    expect(mealSign(meal({ staysMin: null }))).toBeNull();
    expect(mealSign(meal({ part: 0, left: 1 }))).toBeNull();
  });

  it('weighs as much as the group had of the meal', () => {
    const whole = mealSign(meal({ left: 0.5 }))!;
    expect(mealSign(meal({ left: 0.5, part: 0.25 }))!.weight).toBe(whole.weight / 4);
  });
});

describe('leftovers beside bellies', () => {
  const left = [1, 2, 4].map((days) => sign(days, -0.75, { seen: { kind: 'left', share: 0.375 } }));
  const quick = [1, 2, 4].map((days) =>
    sign(days, 0.8, { seen: { kind: 'cleared', minutes: 0.4, ofMinutes: 16 } }),
  );

  it.each([1, 2] as const)('thin ones (%d) are never given less', (belly) => {
    expect(propose('adult', left, TODAY)!.change).toBeLessThan(0);
    expect(propose('adult', left, TODAY, belly)).toBeNull();
    expect(propose('adult', quick, TODAY, belly)!.change).toBeGreaterThan(0);
  });

  it.each([4, 5] as const)('full ones (%d) are never given more', (belly) => {
    expect(propose('adult', quick, TODAY)!.change).toBeGreaterThan(0);
    expect(propose('adult', quick, TODAY, belly)).toBeNull();
    expect(propose('adult', left, TODAY, belly)!.change).toBeLessThan(0);
  });
});

describe('what bellies say of a portion', () => {
  const pulls = (looks: [number, 1 | 2 | 3 | 4 | 5][]) =>
    bellySigns(looks.map(([daysAgo, score]) => ({ day: ago(daysAgo), score }))).map(
      ({ pull }) => pull,
    );

  it('a first thin one nothing, since the need is raised already; one that stays thin asks for more', () => {
    expect(pulls([[5, 1]])).toEqual([]);
    expect(pulls([[5, 1], [4, 2]])).toEqual([]); // prettier-ignore
    expect(pulls([[5, 1], [2, 2], [1, 1]])).toEqual([0.5, 1]); // prettier-ignore
  });

  it('well filled is right, round and bloated too much', () => {
    expect(pulls([[3, 3], [2, 4], [1, 5]])).toEqual([0, -0.5, -1]); // prettier-ignore
  });
});

describe('a proposal', () => {
  it('follows what was seen on two days or more, the newest weighing most', () => {
    expect(propose('adult', [sign(1, -0.6), sign(3, -0.6)], TODAY)?.change).toBe(-0.09);
    expect(propose('adult', [sign(1, -0.5)], TODAY)).toBeNull();
    expect(propose('adult', [sign(1, -0.5), sign(1, -0.5)], TODAY)).toBeNull();
    const better = propose('adult', [sign(9, -1), sign(1, -0.4), sign(0, -0.4)], TODAY)!;
    const worse = propose('adult', [sign(9, -0.4), sign(1, -1), sign(0, -1)], TODAY)!;
    expect(worse.change).toBeLessThan(better.change);
  });

  it('is none for little, for what is long past, or where right meals outweigh it', () => {
    expect(propose('adult', [sign(0, 0.2), sign(1, 0.2)], TODAY)).toBeNull();
    expect(propose('adult', [sign(15, -1), sign(20, -1)], TODAY)).toBeNull();
    const right = [0, 1, 2, 3].map((day) => sign(day, 0));
    expect(propose('adult', [sign(1, -0.5), sign(4, -0.5), ...right], TODAY)).toBeNull();
  });

  it('is none for those that eat nothing, and never less for fry', () => {
    const less = [sign(0, -1), sign(1, -1)];
    const more = [sign(0, 1), sign(1, 1)];
    expect(propose('brooding', more, TODAY)).toBeNull();
    expect(propose('fry', less, TODAY)).toBeNull();
    expect(propose('fry', more, TODAY)?.change).toBe(MAX_CHANGE);
  });

  it('says what it comes from, the newest first', () => {
    const left = sign(1, 1, { seen: { kind: 'left', share: 0.2 } });
    const { signs } = propose('adult', [sign(3, 1), left], TODAY)!;
    expect(signs.map(({ day }) => day)).toEqual([ago(1), ago(3)]);
  });

  it('is never more than fifteen per cent, nor against what was seen', () => {
    const any = fc.record({
      daysAgo: fc.integer({ min: 0, max: 20 }),
      pull: fc.double({ min: -1, max: 1, noNaN: true }),
      weight: fc.double({ min: 0, max: 1, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.array(any, { maxLength: 20 }), (seen) => {
        const signs = seen.map(({ daysAgo, pull, weight }) => sign(daysAgo, pull, { weight }));
        const proposal = propose('adult', signs, TODAY);
        if (!proposal) return;
        expect(Math.abs(proposal.change)).toBeLessThanOrEqual(MAX_CHANGE);
        expect(proposal.signs.some(({ pull }) => pull * proposal.change > 0)).toBe(true);
      }),
    );
  });
});

let made = 0;
const newId = () => `new ${(made += 1)}`;

describe('what a proposal changes', () => {
  const house = testHouse();
  const foods = new Map<string, Food>(house.foods.map((food) => [food.id, food]));
  const tank = testTank('b', 2);
  const group = testGroup('g1', 'b');
  const own = (...units: number[]) => ({
    ...group,
    diet: {
      ...group.diet!,
      servings: units.map((ownUnits, at) => ({
        ...group.diet!.servings[0]!,
        id: `s${at}`,
        ownUnits,
      })),
    },
  });

  it('is the goal, and so the need', () => {
    const diet = changedDiet(group.diet!, group, 0.1, foods);
    const need = (of: typeof group) => dailyNeed(groupOnDay(of, tank)).value;
    expect(need({ ...group, diet })).toBeCloseTo(need(group) * 1.1, 9);
  });

  it('is each amount that the keeper set, what rounding takes from one given with the next', () => {
    const { diet } = own(3, 3, 3, 3);
    const units = changedDiet(diet, group, -0.1, foods).servings.map((one) => one.ownUnits);
    expect(units.reduce((sum, one) => sum! + one!, 0)).toBe(11);
  });

  it('names every portion that becomes another', () => {
    const effect = effectOf(own(5, 10), tank, foods, 0.1, TODAY, newId)!;
    expect(effect.change).toBeCloseTo(0.1, 6);
    expect(effect.changed).toEqual([
      { servingId: 's0', foodId: 'flake', momentId: 'morning', before: 5, after: 5.5, days: null },
      { servingId: 's1', foodId: 'flake', momentId: 'morning', before: 10, after: 11, days: null },
    ]);
  });

  it('is a step on some days where hands are too coarse for all of them', () => {
    const more = effectOf(own(2), tank, foods, 0.06, TODAY, newId)!;
    expect(more.changed).toMatchObject([{ before: 2, after: 2.5 }]);
    expect(more.changed[0]!.days!.length).toBeLessThan(7);
    expect(more.diet.servings).toHaveLength(2);
    const days = more.diet.servings.flatMap((one) => one.days).sort();
    expect(days).toEqual([...group.diet!.servings[0]!.days].sort());
  });

  it('leaves the smallest amount out on a day, and is none where a day is too much', () => {
    const less = effectOf(own(0.5, 0.5), tank, foods, -0.1, TODAY, newId)!;
    expect(less.changed).toMatchObject([{ before: 0.5, after: 0 }]);
    expect(less.changed[0]!.days).toHaveLength(1);
    expect(less.diet.servings).toHaveLength(2);
    const weekly = own(0.5);
    const once = {
      ...weekly,
      diet: { ...weekly.diet, servings: [{ ...weekly.diet.servings[0]!, days: [2] }] },
    };
    expect(effectOf(once, tank, foods, -0.15, TODAY, newId)).toBeNull();
  });

  it('never moves what is really dealt in a week by more than a correction may be', () => {
    const units = fc.array(fc.integer({ min: 1, max: 12 }), { minLength: 1, maxLength: 4 });
    const change = fc.integer({ min: -15, max: 15 }).filter((percent) => Math.abs(percent) >= 5);
    const dealt = (of: typeof group) => {
      let kj = 0;
      for (let ahead = 0; ahead < 7; ahead += 1) {
        const day = compileGroupDay(of, tank, foods, addDays(TODAY, ahead));
        for (const { portion } of day.servings) kj += portion.energyKj;
      }
      return kj;
    };
    fc.assert(
      fc.property(units, change, (halves, percent) => {
        const before = own(...halves.map((half) => half / 2));
        const effect = effectOf(before, tank, foods, percent / 100, TODAY, newId);
        if (effect === null) return;
        const real = dealt({ ...before, diet: effect.diet }) / dealt(before) - 1;
        expect(Math.abs(real)).toBeLessThanOrEqual(MAX_CHANGE + 1e-6);
        expect(real * percent).toBeGreaterThan(0);
        expect(effect.change).toBeCloseTo(real, 2);
      }),
      { numRuns: 40 },
    );
  });

  it('turns no amount the other way', () => {
    const units = fc.array(fc.integer({ min: 1, max: 40 }), { minLength: 1, maxLength: 8 });
    const change = fc.integer({ min: -15, max: 15 }).map((percent) => percent / 100);
    fc.assert(
      fc.property(units, change, (halves, by) => {
        const { diet } = own(...halves.map((half) => half / 2));
        changedDiet(diet, group, by, foods).servings.forEach((one, at) => {
          const moved = one.ownUnits! - halves[at]! / 2;
          expect(moved * Math.sign(by)).toBeGreaterThanOrEqual(0);
          expect(Math.abs(moved)).toBeLessThanOrEqual(Math.abs(by) * halves[at]! + 0.25);
        });
      }),
    );
  });
});

describe('what was seen three times over', () => {
  const house = testHouse();
  const foods = new Map<string, Food>(house.foods.map((food) => [food.id, food]));
  const tank = testTank('b', 2);
  const group = testGroup('g1', 'b');
  const on = (days: number, of: (day: string) => Sign[]): Sign[] =>
    Array.from({ length: days }, (_, ago_) => of(ago(ago_))).flat();
  const meal = (over: Partial<WatchedMeal>) => (day: string) => {
    const sign = mealSign({
      day,
      clearedMin: null,
      left: null,
      staysMin: 15,
      part: 1,
      came: null,
      ...over,
    });
    return sign ? [sign] : [];
  };
  const SEEN: [string, Sign[]][] = [
    ['bloated on three days', bellySigns([2, 1, 0].map((days) => ({ day: ago(days), score: 5 })))],
    ['round on four days', bellySigns([3, 2, 1, 0].map((days) => ({ day: ago(days), score: 4 })))],
    ['half left five times', on(5, meal({ left: 0.5 }))],
    ['a quarter left five times', on(5, meal({ left: 0.25 }))],
    ['far too slow three times', on(3, meal({ clearedMin: 30 }))],
    ['gone at once three times', on(3, meal({ clearedMin: 0.5 }))],
  ];
  it.each(SEEN)('%s is never answered by silence, however coarse the hand', (_, signs) => {
    const proposal = propose('adult', signs, TODAY)!;
    expect(proposal).not.toBeNull();
    // From a pinch a day, dealt in halves, to ten.
    for (const halves of [2, 4, 8, 20]) {
      const servings = group.diet!.servings.slice(0, 1).flatMap((one) => [
        { ...one, id: 'a', ownUnits: halves / 4 },
        { ...one, id: 'b', ownUnits: halves / 4 },
      ]);
      const fed = { ...group, diet: { ...group.diet!, servings } };
      const effect = effectOf(fed, tank, foods, proposal.change, TODAY, newId);
      expect(effect).not.toBeNull();
      expect(Math.sign(effect!.change)).toBe(Math.sign(proposal.change));
    }
  });
});

describe('a food that is refused', () => {
  const flake = testGroup('g1', 'b').diet!.servings[0]!;
  const worm = { ...flake, id: 'worms', foodId: 'worm', days: [1, 3] };
  const group = (arrived: number, over: object = {}) => ({
    ...testGroup('g1', 'b'),
    lastOn: { arrived: ago(arrived) },
    diet: { ...testGroup('g1', 'b').diet!, servings: [worm, flake] },
    ...over,
  });
  const tried = (refused: number) => [
    { foodId: 'flake', served: 10, refused: 0 },
    { foodId: 'worm', served: 2, refused },
  ];

  const FOODS = new Map<string, Parameters<typeof mixingOf>[0]>([
    ['flake', { kind: 'dry', family: 'grain' }],
    ['worm', { kind: 'frozen', family: 'cube' }],
    ['pellet', { kind: 'dry', family: 'grain' }],
  ]);

  it.each([
    ['dry', 'grain', 'dry', 'grain', 'stirred'],
    ['dry', 'grain', 'frozen', 'cube', 'soaked'],
    ['dry', 'mortar', 'fresh', 'leaf', 'dusted'],
    ['dry', 'mortar', 'gel', 'jelly', 'dusted'],
    ['frozen', 'cube', 'frozen', 'cube', 'stirred'],
    ['frozen', 'cube', 'dry', 'grain', 'beside'],
    ['dry', 'grain', 'live', 'wriggle', 'beside'],
    ['fresh', 'leaf', 'dry', 'grain', 'beside'],
  ] as const)('%s %s with %s %s is %s', (kind, family, knownKind, knownFamily, mixing) => {
    expect(mixingOf({ kind, family }, { kind: knownKind, family: knownFamily })).toBe(mixing);
  });

  it('is mixed with what it goes with best, though another is given on more days', () => {
    const own = group(5);
    const daily = { ...flake, id: 'daily', foodId: 'slice' };
    const foods = new Map([
      ...FOODS,
      ['slice', { kind: 'fresh' as const, family: 'leaf' as const }],
    ]);
    const servings = [daily, { ...flake, days: [2] }, { ...worm, foodId: 'pellet' }];
    const met = [
      { foodId: 'slice', served: 9, refused: 0 },
      { foodId: 'flake', served: 9, refused: 0 },
      { foodId: 'pellet', served: 2, refused: 2 },
    ];
    const found = refusedFoods({ ...own, diet: { ...own.diet, servings } }, met, foods, TODAY);
    expect(found).toMatchObject([{ foodId: 'pellet', withFoodId: 'flake', mixing: 'stirred' }]);
  });

  it('by a newcomer is trained at once, with the food that it takes on most days', () => {
    expect(refusedFoods(group(5), tried(1), FOODS, TODAY)).toEqual([
      {
        foodId: 'worm',
        withFoodId: 'flake',
        servingId: flake.id,
        served: 2,
        refused: 1,
        newcomerDays: 5,
        mixing: 'beside',
      },
    ]);
  });

  it('by others only from the second time', () => {
    expect(refusedFoods(group(100), tried(1), FOODS, TODAY)).toEqual([]);
    expect(refusedFoods(group(100), tried(2), FOODS, TODAY)).toMatchObject([
      { newcomerDays: null },
    ]);
  });

  it('is not asked about while one is trained, where nothing is taken, or where it is not planned', () => {
    const training = { id: 't', servingId: flake.id, foodId: 'worm', step: 1, share: 0.1, offers: 0, ends: null }; // prettier-ignore
    expect(refusedFoods(group(5, { training }), tried(1), FOODS, TODAY)).toEqual([]);
    expect(
      refusedFoods(group(5), [{ foodId: 'worm', served: 2, refused: 2 }], FOODS, TODAY),
    ).toEqual([]);
    const none = { ...group(5).diet, servings: [flake] };
    expect(refusedFoods(group(5, { diet: none }), tried(2), FOODS, TODAY)).toEqual([]);
  });
});

it('a day with a portion stays a day with a portion, by whatever change', () => {
  const foods = new Map<string, Food>(testHouse().foods.map((food) => [food.id, food]));
  const group = testGroup('g1', 'b');
  const tank = testTank('b', 2);
  const served = (change: number) =>
    compileGroupDay(
      { ...group, diet: changedDiet(group.diet!, group, change, foods) },
      tank,
      foods,
      TODAY,
    ).servings.map(({ portion }) => portion.units);
  expect(served(-MAX_CHANGE).every((units) => units > 0)).toBe(true);
  expect(served(MAX_CHANGE)).toHaveLength(served(-MAX_CHANGE).length);
});
