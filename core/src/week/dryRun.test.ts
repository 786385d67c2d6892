import fc from 'fast-check';
import { maintenanceKj } from '../ration';
import { grown, growingOf, lengthsOf } from './dryRun/growth';
import { USUAL_RHYTHM } from '../water/rhythm';
import { dryRun, type DryTank } from '.';
import { testDiet, testEater, testFlake, testServing, testTask, weekGroup } from './week.testkit';

const lots = (remainingG: number) => [{ id: 'l', remainingG, openedOn: null, bestBefore: null }];
const foods = (remainingG = 1000) => [
  { id: 'flake', lots: lots(remainingG), openedDays: null, pricePerG: 10 },
];
/** Small enough for small mouths. */
const FINE = testFlake({
  inWater: { floatMinutes: 3, sinkCmPerS: 0.5, particleMinMm: 0.2, particleMaxMm: 0.6 },
});
const growers = weekGroup(
  testEater('shoal', { stage: 'juvenile', lengthCm: 2, species: { adultLengthCm: 5 } }),
);
const tank = (over: Parameters<typeof testTask>[0] = {}, water = USUAL_RHYTHM): DryTank => ({
  task: testTask({
    groups: [growers],
    foods: [FINE],
    diets: {
      shoal: testDiet([testServing('s', 'flake', 'morning'), testServing('t', 'flake', 'night')]),
    },
    ...over,
  }),
  water,
});
const run = (one: DryTank, days = 56, shelf = foods()) => dryRun([one], shelf, days);

describe('a dry run', () => {
  it('grows young fish on a juvenile’s ration, with a band that widens', () => {
    const [shoal] = run(tank()).tanks[0]!.groups;
    expect(shoal!.massG).toHaveLength(9);
    const [start, ...later] = shoal!.massG;
    expect(start!.low).toBe(start!.high);
    const end = later.at(-1)!;
    expect(end.middle).toBeGreaterThan(1.5 * start!.middle);
    expect(end.low).toBeLessThan(end.middle);
    expect(end.high).toBeGreaterThan(end.middle);
    expect(shoal!.lengthCm.at(-1)!.middle).toBeLessThanOrEqual(5);
  });

  it('starves who gets nothing, and says on how many days', () => {
    const [shoal] = run(tank({ diets: {} })).tanks[0]!.groups;
    expect(shoal!.hungryDays).toBe(56);
    expect(shoal!.massG.at(-1)!.middle).toBeLessThan(shoal!.massG[0]!.middle);
    // A hungry fish grows thin, not short.
    expect(shoal!.lengthCm.at(-1)).toEqual(shoal!.lengthCm[0]);
  });

  it('keeps its middle within its band, however food comes and goes', () => {
    const fish = [
      growers,
      weekGroup(testEater('shoal', { lengthCm: 4.9, species: { adultLengthCm: 5 } })),
    ];
    // About what keeps it: days on which the middle loses and the highest does not.
    const shares = fc.array(fc.double({ min: 0.6, max: 1.6, noNaN: true }), { maxLength: 80 });
    fc.assert(
      fc.property(fc.constantFrom(...fish), shares, (group, meals) => {
        let one = growingOf(group);
        for (const share of meals) {
          const before = one;
          const kj = share * maintenanceKj(group.species, one.massG.middle, 25);
          one = grown(group, one, kj, 25);
          expect(one.massG.middle).toBeGreaterThanOrEqual(one.massG.low);
          expect(one.massG.middle).toBeLessThanOrEqual(one.massG.high);
          expect(one.greatestG.middle).toBeGreaterThanOrEqual(before.greatestG.middle);
          const { low, middle, high } = lengthsOf(group, one);
          expect(low <= middle && middle <= high).toBe(true);
        }
      }),
    );
  });

  it('keeps adults at their mass over two fasting days a week that are made up for', () => {
    const adult = weekGroup(testEater('shoal'));
    const diet = testDiet(
      [testServing('s', 'flake', 'morning'), testServing('t', 'flake', 'night')],
      { fastWeekdays: [3, 7] },
    );
    const [shoal] = run(tank({ groups: [adult], diets: { shoal: diet } })).tanks[0]!.groups;
    const ratio = shoal!.massG.at(-1)!.middle / shoal!.massG[0]!.middle;
    expect(ratio).toBeGreaterThan(0.98);
    expect(ratio).toBeLessThan(1.02);
  });

  it('keeps an adult at maintenance as it is', () => {
    const adult = weekGroup(testEater('shoal'));
    const [shoal] = run(tank({ groups: [adult] })).tanks[0]!.groups;
    const ratio = shoal!.massG.at(-1)!.middle / shoal!.massG[0]!.middle;
    expect(Math.abs(ratio - 1)).toBeLessThan(0.25);
  });

  it('is a saw-tooth of nitrate that settles where the sum says', () => {
    const water = { share: 0.5, everyDays: 7, sourceMgL: 5 };
    // Own amounts, so that every day adds the same.
    const servings = [testServing('s', 'flake', 'morning', { ownUnits: 400 })];
    const { nitrateMgL } = run(tank({ diets: { shoal: testDiet(servings) } }, water), 56).tanks[0]!;
    const peaks = nitrateMgL.filter((_, d) => d % 7 === 6);
    const added = peaks[1]!.before - peaks[0]!.after;
    for (const { before, after } of peaks) {
      expect(before).toBeCloseTo(5 + added / 0.5, 6);
      expect(after).toBeCloseTo(5 + added / 0.5 - added, 6);
    }
  });

  it('begins with the water as it is, and makes of the food what its tests say', () => {
    const water = { share: 0.5, everyDays: 7, sourceMgL: 5 };
    const servings = [testServing('s', 'flake', 'morning', { ownUnits: 400 })];
    const plain = tank({ diets: { shoal: testDiet(servings) } }, water);
    const peaksOf = (believed: DryTank['believed']) =>
      run({ ...plain, believed }, 56).tanks[0]!.nitrateMgL;
    const usual = peaksOf(null);
    const daily = usual[1]!.before - usual[0]!.after;
    const known = peaksOf({ mgL: 40, production: 1.5, uptakeMgL: 0.1 });
    expect(known[0]!.before).toBeCloseTo(40 + 1.5 * daily - 0.1, 6);
    // Once the beginning is forgotten it is the rhythm that shows.
    const settled = known.filter((_, d) => d % 7 === 6).at(-1)!.before;
    expect(settled / (5 + (7 * (1.5 * daily - 0.1)) / 0.5)).toBeCloseTo(1, 1);
  });

  it('says which food runs out when, what it costs, and who stands the nitrate the least', () => {
    const servings = [testServing('s', 'flake', 'morning', { ownUnits: 100 })];
    const one = tank({ diets: { shoal: testDiet(servings) } });
    const { runOuts, tanks } = run(one, 56, foods(1));
    // 0.1 g a day of 1 g: ten days, and the eleventh is missing.
    expect(runOuts).toEqual([{ foodId: 'flake', day: '2026-03-12' }]);
    // Half of it grows on the live shelf: then it lasts twice as long.
    const alive = foods(1).map((food) => ({ ...food, liveG: Array<number>(56).fill(0.05) }));
    expect(run(one, 56, alive).runOuts).toEqual([{ foodId: 'flake', day: '2026-03-22' }]);
    expect(tanks[0]!.costMinor).toBeCloseTo(56 * 0.1 * 10, 6);
    expect(tanks[0]!.foods).toEqual([{ foodId: 'flake', massG: expect.closeTo(5.6, 6) }]);
    const foul = tank(
      { diets: { shoal: testDiet([testServing('s', 'flake', 'morning', { ownUnits: 9000 })]) } },
      { share: 0.1, everyDays: 14, sourceMgL: 30 },
    );
    expect(run(foul).tanks[0]!.over).toMatchObject({ groupId: 'shoal', toleratesMgL: 40 });
  });

  it('keeps the fasts of its plan, on dates too', () => {
    const plan = {
      cycle: { days: 7, from: '2024-01-01' },
      fasts: [
        {
          id: 'f',
          groupId: null,
          when: { kind: 'dates' as const, from: '2026-03-10', to: '2026-03-20' },
        },
      ],
    };
    const fasted = run(tank({ plan })).tanks[0]!;
    const fed = run(tank()).tanks[0]!;
    expect(fasted.servedG).toBeLessThan(fed.servedG);
    expect(fasted.groups[0]!.hungryDays).toBe(fed.groups[0]!.hungryDays);
    expect(fasted.nitrateMgL[10]!.before).toBeLessThan(fed.nitrateMgL[10]!.before);
  });

  it('stops where it is told to', () => {
    const three = [tank(), tank(), tank()];
    expect(dryRun(three, foods(), 14, (done) => done < 2).tanks).toHaveLength(2);
    expect(dryRun([], foods(), 14)).toMatchObject({ tanks: [], runOuts: [] });
  });
});
