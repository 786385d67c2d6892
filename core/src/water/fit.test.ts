import { chanceOf } from '../chance';
import { fitWater, forecastWater, sawTooth, testSd, type Change, type WaterTest } from '.';

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
  const real = sawTooth(20, days, (day) => production * food(day) - uptake, changes);
  const tests: WaterTest[] = [];
  for (let day = 0; day < days; day += 5) {
    const was = day === 0 ? 20 : real[day - 1]!.after;
    tests.push({ day, mgL: Math.max(0, was + chance.normal() * testSd(was)) });
  }
  return { real, tests, changes };
}

describe('what a tank really makes and takes', () => {
  it('is what is assumed, as long as nobody tested it', () => {
    const fit = fitWater([], food, []);
    expect(fit).toMatchObject({ production: 1, odd: [], spans: 0 });
    expect(fit.uptakeMgL).toBeCloseTo(0.5, 9);
    expect(fit.sd.production).toBeCloseTo(0.35, 9);
  });

  it('is found from tests between changes, within its band nine times of ten', () => {
    let within = 0;
    for (let seed = 0; seed < 100; seed += 1) {
      const { tests, changes } = tank(seed, 1.2, 0.9);
      const fit = fitWater(tests, food, changes);
      // The two go together: what matters is what a usual day adds.
      const adds = fit.production * 2.4 - fit.uptakeMgL;
      const sd = Math.sqrt(
        (2.4 * fit.sd.production) ** 2 + fit.sd.uptakeMgL ** 2 - 2 * 2.4 * fit.covariance,
      );
      if (Math.abs(adds - (1.2 * 2.4 - 0.9)) < 1.645 * sd) within += 1;
    }
    expect(within).toBeGreaterThanOrEqual(85);
  });

  it('is known the better the more was tested', () => {
    const { tests, changes } = tank(1, 1, 0.4);
    const few = fitWater(tests.slice(0, 3), food, changes);
    const many = fitWater(tests, food, changes);
    expect(many.sd.production).toBeLessThan(few.sd.production);
    expect(many.spans).toBe(tests.length - 1);
  });

  it('asks about a test that is far from the rest, and goes on without it', () => {
    const { tests, changes } = tank(3, 1, 0.4);
    const plain = fitWater(tests, food, changes);
    const wrong = tests.map((test, at) => (at === 6 ? { ...test, mgL: 220 } : test));
    const fit = fitWater(wrong, food, changes);
    expect(fit.odd).toContain(6);
    expect(Math.abs(fit.production - plain.production)).toBeLessThan(0.25);
  });

  it('takes two tests of one day as one moment', () => {
    const fit = fitWater(
      [
        { day: 3, mgL: 20 },
        { day: 3, mgL: 25 },
      ],
      food,
      [],
    );
    expect(fit.spans).toBe(0);
  });
});

describe('the forecast', () => {
  it('goes on from the last test as the tooth does, in a band that widens', () => {
    const { tests, changes } = tank(5, 1, 0.4);
    const fit = fitWater(tests, food, changes);
    const days = forecastWater(fit, 30, 42, food, weekly(42));
    const mean = sawTooth(30, 42, (day) => fit.production * food(day) - fit.uptakeMgL, weekly(42));
    days.forEach(({ before, low, high }, day) => {
      expect(before).toBeCloseTo(mean[day]!.before, 9);
      expect(low).toBeLessThanOrEqual(before);
      expect(high).toBeGreaterThan(before);
    });
    const none = forecastWater(fitWater([], food, []), 30, 42, food, []);
    expect(none[41]!.high - none[41]!.low).toBeGreaterThan(none[0]!.high - none[0]!.low);
  });

  it('holds what really comes in its band', () => {
    let held = 0;
    for (let seed = 0; seed < 60; seed += 1) {
      const { real, tests, changes } = tank(seed, 1.15, 0.6, 84);
      const until = 60;
      const known = tests.filter(({ day }) => day <= until);
      const fit = fitWater(known, food, changes);
      const ahead = changes
        .filter(({ day }) => day >= until)
        .map((one) => ({ ...one, day: one.day - until }));
      const days = forecastWater(fit, known.at(-1)!.mgL, 14, (day) => food(day + until), ahead);
      const was = real[until + 13]!.before;
      if (was >= days[13]!.low && was <= days[13]!.high) held += 1;
    }
    expect(held).toBeGreaterThanOrEqual(48);
  });
});
