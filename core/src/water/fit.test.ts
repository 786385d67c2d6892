import { chanceOf } from '../chance';
import {
  fitWater,
  forecastWater,
  quantileOf,
  testSd,
  UPTAKE,
  type Change,
  type WaterTest,
} from '.';

const food = (day: number) => (day % 7 === 6 ? 0 : 2.4);
const weekly = (days: number): Change[] =>
  Array.from({ length: Math.floor(days / 7) }, (_, week) => ({
    day: week * 7 + 6,
    share: 0.3,
    sourceMgL: 8,
  }));

/** A tank as it really is, tested every few days by an eye that is off. */
function tank(seed: number, production: number, uptake: number, days = 84) {
  const chance = chanceOf(seed);
  const changes = weekly(days);
  const real = [20];
  for (let day = 0; day < days; day += 1) {
    const { share, sourceMgL } = changes.find((one) => one.day === day) ?? {
      share: 0,
      sourceMgL: 0,
    };
    const mgL = real[day]! * (1 - share) + sourceMgL * share;
    real.push(Math.max(0, mgL + production * food(day) - uptake));
  }
  const tests: WaterTest[] = [];
  for (let day = 0; day < days; day += 5) {
    const was = real[day]!;
    tests.push({ day, mgL: Math.max(0, was + chance.normal() * testSd(was)) });
  }
  return { real, tests, course: { days, foodAdds: food, changes, start: null } };
}
const nothing = { days: 60, foodAdds: food, changes: weekly(60), start: { mgL: 20, sd: 20 } };

describe('what a tank really makes and takes', () => {
  it('is what is assumed, as long as nobody tested it', () => {
    const fit = fitWater([], nothing, UPTAKE.few);
    expect(fit).toMatchObject({ odd: [], tests: 0 });
    expect(fit.production).toBeGreaterThan(0.9);
    expect(fit.production).toBeLessThan(1.2);
    expect(fit.sd.production).toBeGreaterThan(0.45);
  });

  it('is as unsure in a tank of today, of which nothing can be told yet', () => {
    const young = { ...nothing, from: 60 };
    const fit = fitWater([], young, UPTAKE.few);
    expect(fit.sd.production).toBeGreaterThan(0.45);
    expect(fit.path[60]).toBeGreaterThan(0);
  });

  it('takes up nothing where no plants grow', () => {
    const { tests, course } = tank(4, 0.6, 0);
    expect(fitWater(tests, course, UPTAKE.none)).toMatchObject({
      uptakeMgL: 0,
      sd: { uptakeMgL: 0 },
    });
  });

  it('is found from tests, within its band nine times of ten', () => {
    let within = 0;
    for (let seed = 0; seed < 40; seed += 1) {
      const { tests, course } = tank(seed, 1.2, 0.9);
      const { ways } = fitWater(tests, course, UPTAKE.many);
      // The two go together: what matters is what a usual day adds.
      const adds = (share: number) =>
        quantileOf(ways, (way) => way.production * 2.4 - way.uptakeMgL, share);
      const real = 1.2 * 2.4 - 0.9;
      if (adds(0.05) <= real && real <= adds(0.95)) within += 1;
    }
    expect(within).toBeGreaterThanOrEqual(32);
  });

  it('is known the better the more was tested', () => {
    const { tests, course } = tank(1, 1, 0.4);
    const few = fitWater(tests.slice(0, 3), course, UPTAKE.few);
    const many = fitWater(tests, course, UPTAKE.few);
    expect(many.sd.production).toBeLessThan(few.sd.production);
    expect(many.tests).toBe(tests.length);
  });

  it('asks about a test that is far from the rest, and goes on without it', () => {
    const { tests, course } = tank(3, 1, 0.4);
    const plain = fitWater(tests, course, UPTAKE.few);
    const wrong = tests.map((test, at) => (at === 6 ? { ...test, mgL: 220 } : test));
    const fit = fitWater(wrong, course, UPTAKE.few);
    expect(fit.odd).toEqual([6]);
    expect(Math.abs(fit.production - plain.production)).toBeLessThan(0.25);
  });

  it('begins anew where an odd test was confirmed', () => {
    const { tests, course } = tank(3, 1, 0.4);
    const last = tests.at(-1)!;
    const jumped = [...tests.slice(0, -1), { ...last, mgL: 140, sure: true }];
    const fit = fitWater(jumped, course, UPTAKE.few);
    expect(fit.odd).toEqual([]);
    expect(fit.path[last.day]).toBeGreaterThan(100);
    expect(fit.path[last.day - 1]).toBeLessThan(60);
    // What was learned before it is kept.
    expect(fit.sd.production).toBeLessThan(0.4);
  });

  it('takes two tests of one day as two looks at one moment', () => {
    const two = [
      { day: 3, mgL: 20 },
      { day: 3, mgL: 25 },
    ];
    const fit = fitWater(two, { ...nothing, start: null }, UPTAKE.few);
    expect(fit.path[3]).toBeGreaterThan(19);
    expect(fit.path[3]).toBeLessThan(26);
  });

  it.each([0, 1e-9, 1e-4, 0.01, 50])('is a figure where a day adds %d mg/L', (adds) => {
    for (const prior of [UPTAKE.none, UPTAKE.few, UPTAKE.dense]) {
      for (const tests of [[], [{ day: 20, mgL: 12 }], [{ day: 20, mgL: 300 }]]) {
        const fit = fitWater(tests, { ...nothing, foodAdds: () => adds }, prior);
        const { production, uptakeMgL, ways } = fit;
        expect(production).toBeGreaterThanOrEqual(0);
        expect(production).toBeLessThanOrEqual(2.5 + 1e-6);
        expect(uptakeMgL).toBeGreaterThanOrEqual(0);
        expect(ways.every(({ mgL }) => Number.isFinite(mgL) && mgL >= 0)).toBe(true);
      }
    }
  });

  it('is the same whenever it is asked', () => {
    const { tests, course } = tank(9, 1.4, 0.2);
    expect(fitWater(tests, course, UPTAKE.few)).toEqual(fitWater(tests, course, UPTAKE.few));
  });
});

describe('the forecast', () => {
  it('begins where the tests put it, and widens', () => {
    const { real, tests, course } = tank(5, 1, 0.4);
    const days = forecastWater(fitWater(tests, course, UPTAKE.few), 42, food, weekly(42));
    expect(Math.abs(days[0]!.before - real.at(-1)!)).toBeLessThan(6);
    days.forEach(({ before, low, high }) => {
      expect(low).toBeLessThanOrEqual(before);
      expect(high).toBeGreaterThan(before);
    });
    const none = forecastWater(fitWater([], nothing, UPTAKE.few), 42, food, []);
    expect(none[41]!.high - none[41]!.low).toBeGreaterThan(none[0]!.high - none[0]!.low);
  });

  it('falls at a change by its share of what lies above the new water', () => {
    const fit = fitWater([], nothing, UPTAKE.none);
    const [day] = forecastWater(fit, 1, food, [{ day: 0, share: 0.5, sourceMgL: 4 }]);
    expect(day!.after).toBeCloseTo(day!.before / 2 + 2, 9);
  });
});
