import highsLoader from 'highs';
import { cellsOf, balance, helpFor, solverOf, type Balanced, type Solver, type WeekTask } from '.';
import {
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

let solver: Solver;
beforeAll(async () => {
  solver = solverOf(await highsLoader());
});

const balanced = (task: WeekTask, over: Partial<Parameters<typeof balance>[2]> = {}) => {
  let next = 0;
  return balance(task, solver, { newId: () => `new${next++}`, seconds: 60, ...over });
};
const energyOf = ({ after }: Balanced, groupId: string) =>
  after.aims.find((aim) => aim.kind === 'energy' && aim.groupId === groupId)!;
const cells = (found: Balanced, groupId: string) => cellsOf(found.after.servings.get(groupId)!);
const report = (found: Balanced) =>
  [...found.after.servings].map(([group, servings]) => [
    group,
    servings.map(({ id: _, ...serving }) => serving),
  ]);

describe('balancing', () => {
  it('feeds a shy group that was out-eaten, and tells what it comes to', () => {
    const found = balanced(testTask());
    expect(
      found.before.aims.find((aim) => aim.kind === 'energy' && aim.groupId === 'loaches')!.value,
    ).toBeLessThan(60);
    expect(energyOf(found, 'loaches').value).toBeGreaterThan(80);
    expect(found.after.score).toBeLessThan(found.before.score / 2);
  });

  it('of the same task is the same to the cell', () => {
    expect(report(balanced(testTask()))).toEqual(report(balanced(testTask())));
  });

  it('gives nothing on a fast, nothing that is refused, and no more than was said', () => {
    const rules = [
      { foodId: 'worm', taken: null, mostPerWeek: 0 },
      { foodId: 'flake', taken: null, mostPerWeek: 2 },
    ];
    const shoal = testDiet([testServing('s', 'flake', 'morning')], { fastWeekdays: [1], rules });
    const loaches = testDiet([], { fastWeekdays: [1] });
    const found = balanced(testTask({ diets: { shoal, loaches } }));
    const given = cells(found, 'shoal');
    const all = [...given, ...cells(found, 'loaches')];
    expect(all.length).toBeGreaterThan(0);
    expect(all.filter(({ day }) => day === 1)).toEqual([]);
    expect(given.filter(({ serving }) => serving.foodId === 'worm')).toEqual([]);
    expect(given.filter(({ serving }) => serving.foodId === 'flake').length).toBeLessThanOrEqual(2);
  });

  it('uses no more than the shelf has, and keeps to two meals', () => {
    const task = testTask();
    const stockG = 0.05;
    const shelf = task.shelf.map((food) => (food.foodId === 'flake' ? { ...food, stockG } : food));
    const found = balanced({ ...task, shelf });
    const usedG = [...found.after.servings.values()]
      .flatMap(cellsOf)
      .filter(({ serving }) => serving.foodId === 'flake')
      .reduce((sum, { serving }) => sum + serving.ownUnits! * 0.001, 0);
    expect(usedG).toBeLessThanOrEqual(stockG + 1e-9);
    for (const groupId of ['shoal', 'loaches']) {
      for (let day = 1; day <= 7; day += 1) {
        const moments = cells(found, groupId).filter((cell) => cell.day === day);
        expect(new Set(moments.map(({ serving }) => serving.momentId)).size).toBeLessThanOrEqual(2);
      }
    }
  });

  it('keeps to the shelf however its steps were rounded or moved', () => {
    const task = testTask();
    for (const stockG of [0.9, 1.7, 2.6]) {
      const shelf = task.shelf.map((food) => ({ ...food, stockG }));
      const { after, before } = balanced({ ...task, shelf });
      if (after === before) continue;
      for (const { id, unit } of task.foods) {
        const usedG = [...after.servings.values()]
          .flatMap(cellsOf)
          .filter(({ serving }) => serving.foodId === id)
          .reduce((sum, { serving }) => sum + serving.ownUnits! * unit.massG, 0);
        expect(usedG).toBeLessThanOrEqual(stockG + 1e-6);
      }
    }
  });

  it('of what lives gives no more on a day than is given on that day', () => {
    const task = testTask();
    const liveG = [0.03, 0.03, 0.03, 0, 0.03, 0.03, 0.03];
    const shelf = task.shelf.map((food) =>
      food.foodId === 'flake' ? { ...food, stockG: 0.18, liveG } : { ...food, stockG: 0 },
    );
    const { after } = balanced({ ...task, shelf });
    const onDay = Array<number>(7).fill(0);
    for (const { day, serving } of [...after.servings.values()].flatMap(cellsOf)) {
      if (serving.foodId === 'flake') onDay[day - 1]! += serving.ownUnits! * 0.001;
    }
    expect(Math.max(...onDay)).toBeGreaterThan(0);
    onDay.forEach((grams, at) => expect(grams).toBeLessThanOrEqual(liveG[at]! + 1e-9));
  });

  it('leaves the plan as it is where a group may eat nothing on the shelf', () => {
    const task = testTask();
    const empty = balanced({ ...task, shelf: task.shelf.map((food) => ({ ...food, stockG: 0 })) });
    expect(empty.after).toBe(empty.before);
    expect(empty.rounds).toBe(0);
    const nothing = testDiet([], {
      rules: ['flake', 'wafer', 'worm'].map((foodId) => ({ foodId, taken: 0, mostPerWeek: null })),
    });
    const one = balanced(testTask({ diets: { shoal: nothing } }));
    expect(cells(one, 'shoal')).toEqual([]);
    expect(energyOf(one, 'shoal').met).toBe(false);
  });

  it('keeps the plan where the solver finds nothing, or has no time', () => {
    const nothing: Solver = {
      solve: () => ({ status: 'none', values: [], cost: Infinity, gap: Infinity }),
    };
    const found = balance(testTask(), nothing, { newId: () => 'x', seconds: 10 });
    expect(found).toMatchObject({ status: 'none', settled: false });
    expect(found.after).toBe(found.before);
    let second = 0;
    const late = balanced(testTask(), { seconds: 1, now: () => (second += 1) });
    expect(late.rounds).toBeLessThanOrEqual(1);
    expect(late.after.score).toBeLessThanOrEqual(late.before.score);
  });

  it('lets a solver that breaks be seen', () => {
    const broken: Solver = {
      solve: () => {
        throw new Error('out of memory');
      },
    };
    expect(() => balance(testTask(), broken, { newId: () => 'x', seconds: 10 })).toThrow(
      'out of memory',
    );
  });

  it('stops when it is told to, with the best so far', () => {
    const steps: string[] = [];
    const found = balanced(testTask(), {
      onProgress: ({ step, round }) => {
        steps.push(step);
        return round < 2;
      },
    });
    expect(found.rounds).toBeLessThanOrEqual(2);
    expect(steps[0]).toBe('looking');
    expect(found.after.score).toBeLessThanOrEqual(found.before.score);
  });

  it('offers fry food at every moment', () => {
    const fry = weekGroup(testEater('fry', { stage: 'fry', lengthCm: 0.8, count: 40 }));
    const powder = testFlake({
      id: 'powder',
      inWater: { floatMinutes: 2, sinkCmPerS: 0.1, particleMinMm: 0.05, particleMaxMm: 0.2 },
      unit: { massG: 0.0005, step: 1 },
    });
    const found = balanced(
      testTask({
        groups: [fry],
        foods: [powder],
        diets: { fry: testDiet([testServing('f', 'powder', 'morning')]) },
      }),
    );
    const moments = (day: number) =>
      new Set(
        cells(found, 'fry').flatMap((cell) => (cell.day === day ? cell.serving.momentId : [])),
      );
    for (let day = 1; day <= 7; day += 1) expect(moments(day).size).toBe(2);
  });

  it('offers nothing of which the smallest part is more than a gut holds', () => {
    const block = testFlake({ id: 'block', unit: { massG: 40, step: 0.5 } });
    const found = balanced(
      testTask({
        foods: [testFlake(), block],
        diets: { shoal: testDiet([testServing('s', 'block', 'morning')]) },
      }),
    );
    expect(new Set(cells(found, 'shoal').map(({ serving }) => serving.foodId))).toEqual(
      new Set(['flake']),
    );
  });

  it('leaves no group short over the cycle that was not, to spare another', () => {
    const found = balanced(testTask());
    found.after.outcome.days[0]!.groups.forEach((_, h) => {
      const mean = (plan: typeof found.after) =>
        plan.outcome.days.reduce((sum, { groups }) => {
          const { gotKj, needKj } = groups[h]!;
          return sum + (needKj > 0 ? gotKj / needKj : 1);
        }, 0) / plan.outcome.days.length;
      const offBefore = Math.abs(mean(found.before) - 1);
      expect(Math.abs(mean(found.after) - 1)).toBeLessThanOrEqual(Math.max(offBefore, 0.1) + 1e-9);
    });
  });

  it('weighs forty foods and none of them twice in a slot', () => {
    const foods = Array.from({ length: 40 }, (_, at) =>
      testFlake({ id: `food${at}`, name: `Food ${at}`, plantShare: (at % 10) / 10 }),
    );
    const found = balanced(
      testTask({ foods, diets: { shoal: testDiet([testServing('s', 'food3', 'morning')]) } }),
    );
    expect(found.after.score).toBeLessThanOrEqual(found.before.score);
    for (let day = 1; day <= 7; day += 1) {
      for (const momentId of ['morning', 'night']) {
        const inSlot = [...found.after.servings.values()]
          .flatMap(cellsOf)
          .filter((cell) => cell.day === day && cell.serving.momentId === momentId);
        expect(new Set(inSlot.map(({ serving }) => serving.foodId)).size).toBeLessThanOrEqual(4);
      }
    }
  });
});

describe('what would help', () => {
  it('is more of the food that a shelf is short of, in grams', () => {
    const task = testTask({ foods: [testFlake(), testWafer()] });
    const shelf = task.shelf.map((food) => ({ ...food, stockG: 0.02 }));
    const helps = helpFor({ ...task, shelf }, solver);
    const [best] = helps;
    expect(best).toMatchObject({ kind: 'stock' });
    expect(best!.kind === 'stock' && best!.massG).toBeGreaterThan(0.05);
    expect(helps.map(({ gain }) => gain)).toEqual(
      helps.map(({ gain }) => gain).sort((a, b) => b - a),
    );
  });

  it('is a feed after lights-out for those that only come out at night', () => {
    const task = testTask({
      groups: [
        weekGroup(testEater('shoal')),
        // By day they stay in their shelter.
        weekGroup(
          testLoaches({ species: { presenceDay: { surface: 0, mid: 0, bottom: 0, film: 0 } } }),
        ),
      ],
      foods: [testFlake(), testWafer(), testWorm()],
      house: {
        moments: [{ id: 'morning', name: 'Before work', anchor: 'clock', minutes: 600 }],
      },
    });
    expect(helpFor(task, solver).map(({ kind }) => kind)).toContain('moment');
  });

  it('is a fast together, where what one shoal is given the other would find', () => {
    const every = [1, 2, 3, 4, 5, 6];
    const task = testTask({
      groups: [weekGroup(testEater('shoal')), weekGroup(testEater('mates'))],
      diets: {
        shoal: testDiet([testServing('s', 'flake', 'morning')], { fastWeekdays: [7] }),
        mates: testDiet([testServing('m', 'flake', 'morning', { days: every })]),
      },
    });
    const fasts = helpFor(task, solver).filter(({ kind }) => kind === 'fast');
    expect(fasts).toMatchObject([{ groupId: 'mates', weekdays: [7] }]);
    // Fry would starve: they are never asked to.
    const fry = weekGroup(testEater('mates', { stage: 'fry', lengthCm: 1 }));
    const young = { ...task, groups: [task.groups[0]!, fry] };
    expect(helpFor(young, solver).map(({ kind }) => kind)).not.toContain('fast');
  });

  it('stops where it is told to', () => {
    let tried = 0;
    helpFor(testTask(), solver, () => {
      tried += 1;
      return false;
    });
    expect(tried).toBeLessThanOrEqual(1);
  });
});
