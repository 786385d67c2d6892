import highsLoader from 'highs';
import { helpFor, solverOf, type Solver } from '.';
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

  it('stops where it is asked to', () => {
    let tried = 0;
    helpFor(testTask(), solver, () => {
      tried += 1;
      return false;
    });
    expect(tried).toBeLessThanOrEqual(1);
  });
});
