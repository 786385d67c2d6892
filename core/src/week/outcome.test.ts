import { aimsOf, estimated, newMemory, weekOutcome } from '.';
import { reportOf, simulate, daySpan, dropsOf } from '../zones';
import { compileRound } from '../round';
import { settled } from '../zones/settled';
import {
  testDiet,
  testEater,
  testFlake,
  testLoaches,
  testServing,
  testTask,
  testWafer,
  weekGroup,
} from './week.testkit';

describe('a plan simulated', () => {
  it('gives what the whole simulation of its day gives, within two per cent of the need', () => {
    const task = testTask();
    const [day] = weekOutcome(task).days;
    const drops = dropsOf(compileRound(task.house, task.first), 't');
    const feeding = {
      tank: task.tank,
      groups: task.groups,
      foods: task.foods,
      drops,
      ...daySpan(task.tank.light, drops),
    };
    const model = settled(feeding);
    const report = reportOf(feeding, model, simulate(model));
    report.groups.forEach((group, f) => {
      const share = (100 * day!.groups[f]!.gotKj) / day!.groups[f]!.needKj;
      expect(Math.abs(share - group.ofNeed.value)).toBeLessThan(2);
    });
  });

  it('simulates days that are alike once, and all of them where they differ', () => {
    const memory = newMemory();
    weekOutcome(testTask(), memory);
    expect(memory.days.size).toBe(1);
    const loaches = testDiet([testServing('l', 'wafer', 'night', { days: [1, 4] })]);
    const shoal = testDiet([testServing('s', 'flake', 'morning')]);
    const other = newMemory();
    const { days } = weekOutcome(testTask({ diets: { shoal, loaches } }), other);
    expect(other.days.size).toBe(2);
    expect(days.map((day) => day.drops.length)).toEqual([2, 1, 1, 2, 1, 1, 1]);
  });

  it('counts food that reaches nobody as waste, and its cost', () => {
    const shoal = testDiet([testServing('s', 'flake', 'morning', { ownUnits: 4000 })]);
    const { days } = weekOutcome(testTask({ diets: { shoal } }));
    const [day] = days;
    expect(day!.servedG).toBeCloseTo(4, 6);
    expect(day!.costMinor).toBeCloseTo(40, 6);
    expect(day!.wasteG).toBeGreaterThan(2);
    expect(day!.workMin['morning']).toBeCloseTo(1.3, 6);
  });

  it('stops where it is told to', () => {
    const { days } = weekOutcome(testTask(), newMemory(), (done) => done < 3);
    expect(days).toHaveLength(3);
  });
});

describe('what a plan ought to do', () => {
  const aimOf = (task: ReturnType<typeof testTask>, kind: string, groupId: string) =>
    aimsOf(task, weekOutcome(task)).find((aim) => aim.kind === kind && aim.groupId === groupId);

  it('is missed by a shy group that others out-eat, and said by how much', () => {
    const aim = aimOf(testTask(), 'energy', 'loaches')!;
    expect(aim).toMatchObject({ met: false, low: 90, days: [0, 1, 2, 3, 4, 5, 6] });
    expect(aim.value).toBeLessThan(60);
    expect(aim.missedBy).toBeCloseTo((90 - aim.value) / 90, 6);
  });

  it('is broken on a fast by what is served to others', () => {
    const shoal = testDiet([testServing('s', 'flake', 'morning')], { fastWeekdays: [1] });
    const loaches = testDiet([testServing('l', 'flake', 'morning', { ownUnits: 400 })]);
    const aim = aimOf(testTask({ diets: { shoal, loaches } }), 'fast', 'shoal')!;
    expect(aim.met).toBe(false);
    expect(aim.days).toEqual([0]);
    // With nothing in the water the fast is kept.
    const both = testDiet([testServing('l', 'flake', 'morning')], { fastWeekdays: [1] });
    expect(aimOf(testTask({ diets: { shoal, loaches: both } }), 'fast', 'shoal')!.met).toBe(true);
  });

  it('counts plants, protein, variety, and what should be rare', () => {
    const capped = weekGroup(
      testEater('shoal', { species: { capped: ['animal protein'], plantShareMin: 0.5 } }),
    );
    const task = testTask({
      groups: [capped],
      foods: [testFlake({ plantShare: 0.1 }), testWafer()],
      diets: { shoal: testDiet([testServing('s', 'flake', 'morning')]) },
    });
    expect(aimOf(task, 'plant', 'shoal')).toMatchObject({ met: false });
    expect(aimOf(task, 'capped', 'shoal')).toMatchObject({
      met: false,
      value: 7,
      high: 2,
      about: 'animal protein',
    });
    expect(aimOf(task, 'variety', 'shoal')).toMatchObject({ met: false, value: 1 });
    expect(aimOf(task, 'dominant', 'shoal')!.met).toBe(false);
  });

  it('says where a plan contradicts what the keeper said of a food', () => {
    const rules = [{ foodId: 'flake', taken: null, mostPerWeek: 2 }];
    const shoal = testDiet([testServing('s', 'flake', 'morning')], { rules });
    expect(aimOf(testTask({ diets: { shoal } }), 'rule', 'shoal')).toMatchObject({
      met: false,
      value: 7,
      high: 2,
      about: 'flake',
    });
    const kept = testDiet([testServing('s', 'flake', 'morning', { days: [1, 2] })], { rules });
    expect(aimOf(testTask({ diets: { shoal: kept } }), 'rule', 'shoal')).toBeUndefined();
  });

  it('weighs the work at a moment against the minutes there are', () => {
    const short = aimsOf(testTask({ spareMin: { morning: 1 } }), weekOutcome(testTask())).find(
      ({ kind }) => kind === 'work',
    );
    expect(short).toMatchObject({ met: false, about: 'morning', high: 1 });
    expect(short!.value).toBeCloseTo(1.6, 6);
  });

  it('asks more than one meal a day for fry', () => {
    const fry = weekGroup(testEater('fry', { stage: 'fry', lengthCm: 0.8 }));
    const task = testTask({
      groups: [fry, weekGroup(testLoaches())],
      foods: [
        testFlake({
          inWater: { floatMinutes: 3, sinkCmPerS: 0.2, particleMinMm: 0.05, particleMaxMm: 0.2 },
        }),
      ],
      diets: { fry: testDiet([testServing('f', 'flake', 'morning')]) },
    });
    expect(aimOf(task, 'meals', 'fry')).toMatchObject({ met: false, value: 1, low: 2 });
  });
});

describe('a plan estimated while it is edited', () => {
  it('is what was simulated where nothing changed', () => {
    const task = testTask();
    const known = weekOutcome(task);
    const days = estimated(task, known);
    days.forEach(({ groups }, d) =>
      groups.forEach(({ gotKj, needKj }, f) => {
        expect(gotKj).toBeCloseTo(known.days[d]!.groups[f]!.gotKj, 6);
        expect(needKj).toBe(known.days[d]!.groups[f]!.needKj);
      }),
    );
  });

  it('moves with an edit the way a simulation does', () => {
    const task = testTask();
    const known = weekOutcome(task);
    const shoal = testDiet([testServing('s', 'flake', 'morning', { ownUnits: 1 })]);
    const loaches = testDiet([testServing('l', 'flake', 'morning', { zone: 'bottom' })]);
    const less = testTask({ diets: { shoal, loaches } });
    const [quick] = estimated(less, known);
    const [slow] = weekOutcome(less).days;
    expect(quick!.groups[0]!.gotKj).toBeLessThan(known.days[0]!.groups[0]!.gotKj);
    expect(slow!.groups[0]!.gotKj).toBeLessThan(known.days[0]!.groups[0]!.gotKj);
  });

  it('gives a food that was never simulated to its own group', () => {
    const task = testTask();
    const loaches = testDiet([testServing('l', 'wafer', 'night', { zone: 'bottom' })]);
    const [day] = estimated(testTask({ diets: { loaches } }), weekOutcome(task));
    expect(day!.groups[1]!.gotKj).toBeGreaterThan(0.9 * day!.groups[1]!.needKj);
  });
});
