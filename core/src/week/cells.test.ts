import fc from 'fast-check';
import type { DietServing } from '../round';
import {
  cellsOf,
  changeOn,
  moveOn,
  copyDay,
  put,
  relaid,
  repeatOn,
  servingsFrom,
  takeOut,
} from '.';
import { testServing } from './week.testkit';

/** Ids in a row, so that the same edits give the same plan. */
const ids = () => {
  let next = 0;
  return () => `new${next++}`;
};
/** A plan as who gets what when, whatever its lines are called. */
const given = (servings: readonly DietServing[]) =>
  cellsOf(servings)
    .map(({ serving, day }) => `${day} ${serving.momentId} ${serving.foodId} ${serving.ownUnits}`)
    .sort();

const plans = fc
  .uniqueArray(
    fc.record({
      foodId: fc.constantFrom('a', 'b'),
      momentId: fc.constantFrom('morning', 'night'),
      days: fc.uniqueArray(fc.integer({ min: 1, max: 7 }), { minLength: 1, maxLength: 7 }),
      ownUnits: fc.constantFrom(null, 1, 2),
    }),
    { maxLength: 5, selector: ({ foodId, momentId }) => `${foodId} ${momentId}` },
  )
  .map((lines) =>
    lines.map(({ foodId, momentId, ...over }, at) =>
      testServing(`s${at}`, foodId, momentId, {
        ...over,
        days: [...over.days].sort((a, b) => a - b),
      }),
    ),
  );

describe('cells of a board', () => {
  it('are the servings, one for each day, and become the same servings again', () => {
    fc.assert(
      fc.property(plans, (servings) => {
        expect(servingsFrom(cellsOf(servings), ids())).toEqual(servings);
      }),
    );
  });

  it('moved to another day leave the other days as they were', () => {
    const moved = changeOn(
      [testServing('s', 'flake', 'morning')],
      's',
      3,
      { day: 4, momentId: 'night' },
      ids(),
    );
    expect(moved.map(({ id, momentId, days }) => [id, momentId, days])).toEqual([
      ['s', 'morning', [1, 2, 4, 5, 6, 7]],
      ['new0', 'night', [4]],
    ]);
  });

  it('moved onto the same food are added up', () => {
    const two = [
      testServing('own', 'flake', 'morning', { ownUnits: 2, days: [1, 2] }),
      testServing('part', 'wafer', 'morning', { days: [1, 2] }),
    ];
    const own = changeOn(two, 'own', 1, { day: 2 }, ids());
    expect(own.find(({ foodId }) => foodId === 'flake')).toMatchObject({ ownUnits: 4, days: [2] });
    const part = changeOn(two, 'part', 1, { day: 2 }, ids());
    expect(part.find(({ foodId }) => foodId === 'wafer')).toMatchObject({ weight: 2, days: [2] });
  });

  it('taken onto the same food add up what was served on both days', () => {
    const plan = [testServing('s', 'flake', 'morning')];
    const units = (_: string, day: number) => (day === 1 ? 3 : 2.5);
    const { servings, joinedUnits } = moveOn(
      plan,
      's',
      1,
      { day: 2, momentId: 'morning' },
      units,
      ids(),
    );
    expect(joinedUnits).toBe(5.5);
    expect(given(servings).filter((cell) => /^[12] /.test(cell))).toEqual(['2 morning flake 5.5']);
    expect(servings.flatMap(({ days }) => days).sort()).toEqual([2, 3, 4, 5, 6, 7]);
  });

  it('taken onto another food stand beside it', () => {
    const plan = [
      testServing('s', 'flake', 'morning', { days: [1] }),
      testServing('t', 'wafer', 'morning', { days: [2] }),
    ];
    const { servings, joinedUnits } = moveOn(
      plan,
      's',
      1,
      { day: 2, momentId: 'morning' },
      () => 1,
      ids(),
    );
    expect(joinedUnits).toBeNull();
    expect(given(servings)).toEqual(['2 morning flake null', '2 morning wafer null']);
  });

  it('put in join a line that is alike, and are a line of their own else', () => {
    const { id: _id, days: _days, ...line } = testServing('s', 'flake', 'morning', { days: [1] });
    const plan = [testServing('s', 'flake', 'morning', { days: [1] })];
    expect(put(plan, line, [2, 3], ids())).toMatchObject([{ id: 's', days: [1, 2, 3] }]);
    expect(put(plan, { ...line, ownUnits: 3 }, [2], ids())).toHaveLength(2);
  });

  it('taken out of a last day are gone', () => {
    const plan = [testServing('s', 'flake', 'morning', { days: [1, 2] })];
    expect(takeOut(plan, 's', 1)).toMatchObject([{ days: [2] }]);
    expect(takeOut(takeOut(plan, 's', 1), 's', 2)).toEqual([]);
    expect(repeatOn(plan, 's', [])).toEqual([]);
    expect(repeatOn(plan, 's', [7, 3])).toMatchObject([{ days: [3, 7] }]);
  });

  it('of a day copied to others are on all of them, and what stood there is gone', () => {
    fc.assert(
      fc.property(plans, fc.integer({ min: 1, max: 7 }), (servings, from) => {
        const onDay = (plan: readonly DietServing[], day: number) =>
          given(plan.flatMap((one) => (one.days.includes(day) ? { ...one, days: [day] } : []))).map(
            (cell) => cell.slice(2),
          );
        const copied = copyDay(servings, from, [2, 5], ids());
        for (const day of [2, 5]) expect(onDay(copied, day)).toEqual(onDay(servings, from));
        for (const day of [1, 7].filter((one) => one !== from)) {
          expect(onDay(copied, day)).toEqual(onDay(servings, day));
        }
      }),
    );
  });

  it('of a week laid into two are on both, and into three days on those', () => {
    const plan = [testServing('s', 'flake', 'morning', { days: [1, 5] })];
    expect(relaid(plan, 7, 14)[0]?.days).toEqual([1, 5, 8, 12]);
    expect(relaid(plan, 7, 3)[0]?.days).toEqual([1]);
    expect(relaid([testServing('s', 'flake', 'morning', { days: [6] })], 7, 3)).toEqual([]);
    expect(relaid(relaid(plan, 7, 14), 14, 7)[0]?.days).toEqual([1, 5]);
  });
});
