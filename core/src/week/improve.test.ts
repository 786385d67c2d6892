import { withAct } from './improve/acts';
import {
  allApplied,
  brokenRules,
  cellsOf,
  improve,
  IMPROVE_WAYS,
  NO_PINS,
  workMin,
  type Improved,
  type Improvements,
  type ImproveWay,
  type Pins,
  type PlanAct,
  type WeekGroup,
  type WeekTask,
} from '.';
import {
  EVERY_DAY,
  testDiet,
  testEater,
  testFlake,
  testLoaches,
  testServing,
  testTask,
  testWafer,
  testWorm,
  weekGroup,
} from './week.testkit';

function improved(task: WeekTask, pins: Pins = NO_PINS): Improvements {
  let next = 0;
  return improve(task, { newId: () => `new${next++}`, pins });
}
const pinned = (over: Partial<Pins>): Pins => ({ ...NO_PINS, ...over });
const by = ({ found }: Improvements, way: ImproveWay): Improved | undefined =>
  found.find(({ ways }) => ways.includes(way));
const share = (plan: Improved['after'], groupId: string) => {
  const { groups } = plan.outcome.days[0]!;
  const at = [...plan.servings.keys()].indexOf(groupId);
  return groups[at]!.gotKj / groups[at]!.needKj;
};
const stable = (found: Improvements) =>
  JSON.stringify(found.found.map(({ ways, acts }) => [ways, acts]));
/** What there was in a plan, by food and moment. */
const lines = (servings: Improved['after']['servings']) =>
  [...servings].flatMap(([group, own]) =>
    own.map(({ foodId, momentId }) => `${group} ${foodId} ${momentId}`),
  );

/** Loaches that feed on the ground, at night. */
const loaches = (): WeekGroup => {
  const group = weekGroup(testLoaches());
  return { ...group, species: { ...group.species, zone: 'bottom' } };
};
const bullied = () => testTask({ groups: [weekGroup(testEater('shoal')), loaches()] });

describe('a better plan', () => {
  const found = improved(bullied());

  it('feeds a shy group that was out-eaten, by few changes to the plan that is there', () => {
    expect(share(found.before, 'loaches')).toBeLessThan(0.6);
    expect(found.found.length).toBeGreaterThan(0);
    for (const { after, acts } of found.found) {
      expect(after.score).toBeLessThan(found.before.score);
      expect(acts.length).toBeLessThanOrEqual(6);
    }
    expect(share(by(found, 'shy')!.after, 'loaches')).toBeGreaterThan(0.75);
  });

  it('has each way once, and is what its changes make of the plan', () => {
    const ways = found.found.flatMap((one) => one.ways);
    expect([...ways].sort()).toEqual([...IMPROVE_WAYS].sort());
    for (const { acts, after } of found.found) {
      expect(allApplied(found.before.servings, acts)).toEqual(after.servings);
    }
  });

  it('of the same task is the same, to the last change', () => {
    expect(stable(improved(bullied()))).toBe(stable(found));
  });

  it('is the plan as it is where nothing is amiss', () => {
    const task = testTask({ groups: [weekGroup(testEater('shoal'))] });
    const first = improved(task);
    const good = by(first, 'leastChange')?.after.servings ?? first.before.servings;
    const again = improved({
      ...task,
      house: {
        ...task.house,
        groups: task.house.groups.map((group) => ({
          ...group,
          diet: { ...group.diet!, servings: good.get(group.id)! },
        })),
      },
    });
    // A second look finds no more than a little.
    expect(by(again, 'leastChange')?.acts.length ?? 0).toBeLessThanOrEqual(2);
  });

  it('breaks no rule that was kept: shelf, mouths, water and gut', () => {
    const task = testTask();
    for (const stockG of [0.9, 2.6]) {
      const shelf = task.shelf.map((food) => ({ ...food, stockG }));
      const short = { ...task, shelf };
      const { before, found: ways } = improved(short);
      const had = brokenRules(short, before.outcome).map((one) => JSON.stringify(one));
      for (const { after } of ways) {
        const now = brokenRules(short, after.outcome).map((one) => JSON.stringify(one));
        expect(now.filter((one) => !had.includes(one))).toEqual([]);
      }
    }
  });

  it('leaves no group short that had enough, to spare another', () => {
    for (const { after } of found.found) {
      for (const id of ['shoal', 'loaches']) {
        const least = Math.min(0.9, share(found.before, id)) - 0.05;
        expect(share(after, id)).toBeGreaterThan(least);
      }
    }
  });

  it('moves no portion by more than a half, or to more than twice', () => {
    for (const { acts } of found.found) {
      for (const act of acts) {
        if (act.does !== 'amount' || act.servingId.startsWith('new')) continue;
        expect(act.units / act.fromUnits).toBeGreaterThan(0.49);
        expect(act.units / act.fromUnits).toBeLessThan(2.01);
      }
    }
  });

  it('leaves alone what is pinned, whatever that costs', () => {
    const everything = improved(testTask(), pinned({ groupIds: new Set(['shoal', 'loaches']) }));
    expect(everything.found).toEqual([]);
    const flake = improved(testTask(), pinned({ foodIds: new Set(['flake']) }));
    for (const { after } of flake.found) {
      const of = (servings: typeof after.servings) =>
        [...servings.values()].flat().filter(({ foodId }) => foodId === 'flake');
      expect(of(after.servings)).toEqual(of(flake.before.servings));
    }
    const night = improved(testTask(), pinned({ momentIds: new Set(['night']) }));
    for (const { after } of night.found) {
      expect(lines(after.servings).filter((line) => line.endsWith('night'))).toEqual([]);
    }
  });

  it('keeps a treat, and gives no more of what a keeper limits', () => {
    const rules = [{ foodId: 'worm', taken: null, mostPerWeek: 0 }];
    const shoal = testDiet(
      [
        testServing('s', 'flake', 'morning'),
        testServing('treat', 'wafer', 'night', { days: [3, 6] }),
      ],
      { rules },
    );
    const { found: ways } = improved(testTask({ diets: { shoal, loaches: testDiet([]) } }));
    for (const { after } of ways) {
      const own = after.servings.get('shoal')!;
      expect(own.some(({ id }) => id === 'treat')).toBe(true);
      expect(own.some(({ foodId }) => foodId === 'worm')).toBe(false);
    }
  });

  it('gives on a fast what no one on it would find', () => {
    const shoal = testDiet([testServing('s', 'flake', 'morning')], { fastWeekdays: [7] });
    const mates = testDiet([testServing('m', 'flake', 'morning')]);
    const task = testTask({
      groups: [weekGroup(testEater('shoal')), weekGroup(testEater('mates'))],
      diets: { shoal, mates },
    });
    const { before, found: ways } = improved(task);
    const broken = (plan: typeof before) =>
      plan.aims.some((aim) => aim.kind === 'fast' && !aim.met);
    expect(broken(before)).toBe(true);
    expect(broken(ways[0]!.after)).toBe(false);
    const sunday = [...ways[0]!.after.servings.values()]
      .flatMap(cellsOf)
      .filter(({ day, serving }) => day === 7 && serving.id === 'm');
    expect(sunday).toEqual([]);
  });

  it('of least work never makes more of it, and lets no young go without', () => {
    const fry = weekGroup(testEater('fry', { stage: 'fry', lengthCm: 0.8, count: 40 }));
    const powder = testFlake({
      id: 'powder',
      inWater: { floatMinutes: 2, sinkCmPerS: 0.1, particleMinMm: 0.05, particleMaxMm: 0.2 },
      unit: { massG: 0.0005, step: 1 },
    });
    const task = testTask({
      groups: [fry],
      foods: [powder],
      diets: {
        fry: testDiet([testServing('f', 'powder', 'morning'), testServing('n', 'powder', 'night')]),
      },
    });
    const work = by(improved(task), 'leastWork');
    for (const day of EVERY_DAY) {
      const cells = [...(work?.after.servings.get('fry') ?? [])].filter(({ days }) =>
        days.includes(day),
      );
      if (work) expect(cells.length).toBeGreaterThan(0);
    }
    const { before, found: ways } = improved(testTask());
    const least = ways.find(({ ways: of }) => of.includes('leastWork'))!;
    const shy = ways.find(({ ways: of }) => of.includes('shy'))!;
    expect(workMin(least.after)).toBeLessThanOrEqual(Math.max(workMin(before), workMin(shy.after)));
  });

  it('is none where a group may eat nothing on the shelf, and stops when it is asked to', () => {
    const task = testTask();
    const empty = { ...task, shelf: task.shelf.map((food) => ({ ...food, stockG: 0 })) };
    for (const { acts } of improved(empty).found) {
      expect(acts.every(({ does }) => does !== 'add' && does !== 'food')).toBe(true);
    }
    let asked = 0;
    const stopped = improve(testTask(), {
      newId: () => 'x',
      onTried: () => {
        asked += 1;
        return false;
      },
    });
    expect(asked).toBeLessThanOrEqual(IMPROVE_WAYS.length * 3);
    expect(stopped.found).toEqual([]);
  });

  it('varies a diet of one food with what else they take', () => {
    const task = testTask({
      groups: [weekGroup(testEater('shoal'))],
      foods: [testFlake(), testWafer(), testWorm()],
      diets: { shoal: testDiet([testServing('s', 'flake', 'morning')]) },
    });
    const [first] = improved(task).found;
    const foods = new Set([...first!.after.servings.values()].flat().map(({ foodId }) => foodId));
    expect(foods.size).toBeGreaterThan(1);
    // The staple stays.
    expect(foods.has('flake')).toBe(true);
  });
});

describe('ten houses that were made up', () => {
  const FOODS = [testFlake(), testWafer(), testWorm()];
  const MOMENTS = ['morning', 'night'];
  /** The same figures for the same seed, between 0 and 1. */
  const dice = (seed: number) => () => {
    seed = (seed * 1103515245 + 12345) % 2147483648;
    return seed / 2147483648;
  };
  const house = (seed: number): WeekTask => {
    const roll = dice(seed);
    const pick = <T>(of: readonly T[]) => of[Math.floor(roll() * of.length)]!;
    const plan = (id: string) =>
      testDiet(
        Array.from({ length: 1 + Math.floor(roll() * 3) }, (_, at) =>
          testServing(`${id}${at}`, pick(FOODS).id, pick(MOMENTS), {
            days: EVERY_DAY.filter((day) => day === 7 || roll() < 0.8),
          }),
        ),
        { fastWeekdays: roll() < 0.3 ? [1] : [] },
      );
    const groups = [weekGroup(testEater('shoal', { count: 4 + Math.floor(roll() * 20) }))];
    if (roll() < 0.6) groups.push(loaches());
    return testTask({
      groups,
      foods: FOODS,
      diets: Object.fromEntries(groups.map(({ id }) => [id, plan(id)])),
      spareMin: roll() < 0.5 ? { morning: 2 } : {},
    });
  };

  it.each([1, 2, 3, 4, 5, 6, 7, 8, 9, 10])('get no worse, and no rule broken: house %i', (seed) => {
    const task = house(seed * 7919);
    const { before, found } = improved(task);
    const had = brokenRules(task, before.outcome).map((one) => JSON.stringify(one));
    for (const { after, acts, ways } of found) {
      expect(after.score).toBeLessThan(before.score + 0.06);
      expect(acts.length).toBeLessThanOrEqual(12);
      expect(ways.length).toBeGreaterThan(0);
      const now = brokenRules(task, after.outcome).map((one) => JSON.stringify(one));
      expect(now.filter((one) => !had.includes(one))).toEqual([]);
      // Treats stay, and nothing is left of no day.
      for (const [groupId, own] of before.servings) {
        const then = after.servings.get(groupId)!;
        for (const { id, days } of own) {
          if (days.length <= 2) expect(then.some((one) => one.id === id)).toBe(true);
        }
        expect(then.every(({ days }) => days.length > 0)).toBe(true);
      }
    }
  });
});

describe('an act on a line that an act made', () => {
  it('changes that line, so that one sentence says it all', () => {
    const line = testServing('new', 'wafer', 'night', { ownUnits: 1 });
    const add: PlanAct = { groupId: 'g', reason: 'short', does: 'add', line };
    const same = { groupId: 'g', reason: 'short' as const, servingId: 'new' };
    const more = withAct([add], { ...same, does: 'amount', units: 2, fromUnits: 1 });
    expect(more).toEqual([{ ...add, line: { ...line, ownUnits: 2 } }]);
    const some = withAct(more, { ...same, does: 'days', days: [1, 2] });
    expect(some).toEqual([{ ...add, line: { ...line, ownUnits: 2, days: [1, 2] } }]);
    const other = withAct(some, { ...same, does: 'moment', momentId: 'morning' });
    expect(other).toHaveLength(1);
    const plan = allApplied(new Map([['g', []]]), other).get('g');
    expect(plan).toMatchObject([{ ownUnits: 2, days: [1, 2], momentId: 'morning' }]);
  });

  it('takes the place of an earlier one on the same serving', () => {
    const first: PlanAct = {
      groupId: 'g',
      reason: 'short',
      does: 'amount',
      servingId: 's',
      units: 2,
      fromUnits: 1,
    };
    expect(withAct([first], { ...first, units: 3, fromUnits: 2 })).toEqual([
      { ...first, units: 3, fromUnits: 1 },
    ]);
  });
});

describe('what no plan should do', () => {
  const angels = weekGroup(testEater('angels', { count: 10, lengthCm: 8 }));
  const pellet = testFlake({
    id: 'pellet',
    kind: 'dry',
    family: 'grain',
    form: 'sinks',
    inWater: { floatMinutes: 0, sinkCmPerS: 3, particleMinMm: 2.5, particleMaxMm: 3 },
    unit: { massG: 0.02, step: 1 },
  });
  const fed = (units: number, foods = [pellet]) => {
    const task = testTask({
      groups: [angels],
      foods,
      diets: {
        angels: testDiet([testServing('a', foods[0]!.id, 'morning', { ownUnits: units })]),
      },
    });
    return brokenRules(task, improved(task).before.outcome).map(({ rule }) => rule);
  };

  it('is one pellet for ten mouths', () => {
    expect(fed(1)).toContain('pieces');
    expect(fed(20)).not.toContain('pieces');
  });

  it('is a meal that floods the water, or the gut', () => {
    expect(fed(400)).toEqual(expect.arrayContaining(['flood']));
    expect(fed(12)).not.toContain('flood');
  });

  it('is more than the shelf has', () => {
    const task = testTask();
    const shelf = task.shelf.map((food) => ({ ...food, stockG: 0.001 }));
    expect(
      brokenRules({ ...task, shelf }, improved(task).before.outcome).map(({ rule }) => rule),
    ).toContain('shelf');
  });
});
