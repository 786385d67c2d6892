import fc from 'fast-check';
import {
  atWarmth,
  crashHazard,
  daysUntil,
  energyLeft,
  goodFor,
  grown,
  hatchHours,
  inTurn,
  jarFor,
  lastingHarvest,
  leftForMost,
  staggered,
  vesselsFor,
  yieldShare,
  type Logistic,
} from '.';

const moina: Logistic = { rPerDay: 0.3, capacity: 3000 };

describe('a figure by warmth', () => {
  it('lies on straight lines between what is known, and stays as it is beyond', () => {
    const known = [
      [15, 0.1],
      [20, 0.2],
    ] as const;
    expect(atWarmth(known, 17.5)).toBeCloseTo(0.15, 12);
    expect(atWarmth(known, 5)).toBe(0.1);
    expect(atWarmth(known, 35)).toBe(0.2);
    expect(() => atWarmth(known, 60)).toThrow(RangeError);
    expect(() => atWarmth([], 20)).toThrow(RangeError);
  });
});

describe('logistic growth', () => {
  it('is what small steps come to', () => {
    let stepped = 100;
    const steps = 20_000;
    for (let step = 0; step < steps; step += 1) {
      stepped += (moina.rPerDay * stepped * (1 - stepped / moina.capacity) * 10) / steps;
    }
    expect(grown(moina, 100, 10)).toBeCloseTo(stepped, 0);
  });

  it('never passes what the vessel carries, and dies back from above it', () => {
    const count = fc.double({ min: 0.01, max: 3000, noNaN: true });
    fc.assert(
      fc.property(count, fc.integer({ min: 0, max: 400 }), (from, days) => {
        const after = grown(moina, from, days);
        expect(after).toBeGreaterThanOrEqual(from * 0.999999);
        expect(after).toBeLessThanOrEqual(moina.capacity * 1.000001);
      }),
    );
    expect(grown(moina, 6000, 30)).toBeCloseTo(3000, 0);
    expect(grown(moina, 0, 30)).toBe(0);
  });

  it('gives most for good at half of its capacity, and there it lasts', () => {
    expect(lastingHarvest(moina)).toBe(225);
    let count = 1500;
    for (let hour = 0; hour < 24 * 200; hour += 1) {
      count = grown(moina, count, 1 / 24) - 225 / 24;
    }
    expect(count).toBeGreaterThan(1450);
    expect(count).toBeLessThan(1501);
  });

  it('taken once a day gives most from a little under its half: K·tanh(r/4)', () => {
    const left = leftForMost(moina);
    const daily = grown(moina, left, 1) - left;
    expect(daily).toBeCloseTo(3000 * Math.tanh(0.075), 9);
    for (const other of [0.8, 0.95, 1.05, 1.3]) {
      expect(grown(moina, left * other, 1) - left * other).toBeLessThan(daily);
    }
  });

  it('is back after a time that the same equation tells', () => {
    const days = daysUntil(moina, 750, 1500)!;
    expect(days).toBeCloseTo(Math.log(3) / 0.3, 9);
    expect(grown(moina, 750, days)).toBeCloseTo(1500, 6);
    expect(daysUntil(moina, 1500, 750)).toBe(0);
    expect(daysUntil(moina, 0, 750)).toBeNull();
    expect(daysUntil(moina, 100, 3000)).toBeNull();
  });
});

describe('brine shrimp', () => {
  it('hatch sooner in warm brine', () => {
    expect([20, 24, 28].map(hatchHours)).toEqual([48, 36, 24]);
    expect(hatchHours(22)).toBe(42);
  });

  it('of a jar follow from its cysts, its salt from its water', () => {
    expect(jarFor(187_500)).toEqual({ cystsG: 1, litres: 0.5, saltG: 12.5, nauplii: 187_500 });
    expect(jarFor(200_000, 0.8).cystsG).toBeCloseTo(1, 12);
    expect(() => jarFor(1000, 0)).toThrow(RangeError);
  });

  it('of jars in turn are ready every day, at the minute they are wanted', () => {
    // 24 h: one jar, set up when the one before is harvested; 36 h and 48 h: two.
    expect(staggered(28, 1080)).toEqual({ jars: 1, startMin: 1080, hours: 24, waitsH: 0 });
    expect(staggered(24, 1080)).toEqual({ jars: 2, startMin: 360, hours: 36, waitsH: 0 });
    expect(staggered(20, 1080)).toEqual({ jars: 2, startMin: 1080, hours: 48, waitsH: 0 });
  });

  it('lose their worth by the hour, and little of it in the cold', () => {
    expect(energyLeft(24, false)).toBeCloseTo(0.75, 12);
    expect(energyLeft(24, true)).toBeCloseTo(0.97, 12);
    expect(energyLeft(0, false)).toBe(1);
  });
});

describe('worms on a substrate', () => {
  const micro = { firstDays: 5, fullDays: 9, fadeDays: 21, overDays: 28, refC: 20 };
  it('give nothing, more, all of it, less and nothing', () => {
    const shares = [4, 7, 12, 24.5, 28].map((days) => yieldShare(micro, days, 20));
    expect(shares).toEqual([0, 0.5, 1, 0.5, 0]);
  });

  it('live faster in the warm', () => {
    expect(yieldShare(micro, 3.5, 30)).toBe(0.5);
    expect(yieldShare(micro, 14, 10)).toBe(0.5);
  });
});

describe('a batch', () => {
  const infusoria = { readyDays: 4, goodDays: 7 };
  it('is good from a day on and up to another', () => {
    expect(goodFor(infusoria, 25)).toEqual({ from: 4, to: 11 });
    expect(goodFor(infusoria, 15)).toEqual({ from: 8, to: 22 });
  });

  it('in turn with others leaves no day without', () => {
    const { everyDays, vessels } = inTurn(infusoria, 25);
    expect({ everyDays, vessels }).toEqual({ everyDays: 6, vessels: 2 });
    for (let day = 4; day < 60; day += 1) {
      const good = Array.from({ length: 12 }, (_, at) => day - at * everyDays);
      expect(good.some((age) => age >= 4 && age < 11)).toBe(true);
    }
  });
});

describe('the chance of a crash', () => {
  const calm = { crowding: 0.5, tooWarmC: 0, overfed: false, ageDays: 10, tiredDays: 90 };
  it('is small for a calm culture, and each strain raises it and is named', () => {
    expect(crashHazard(calm)).toEqual({ perDay: expect.closeTo(0.004, 4), causes: [] });
    const strained = crashHazard({ ...calm, crowding: 1.1, tooWarmC: 2, ageDays: 180 });
    expect(strained.causes.map(({ cause }) => cause)).toEqual(['crowded', 'old', 'warm']);
    expect(strained.perDay).toBeGreaterThan(0.1);
  });

  it('never falls when a strain grows, and stays a chance', () => {
    const share = fc.double({ min: 0, max: 3, noNaN: true });
    fc.assert(
      fc.property(share, share, fc.boolean(), (crowding, more, overfed) => {
        const less = crashHazard({ ...calm, crowding, overfed }).perDay;
        const worse = crashHazard({ ...calm, crowding: crowding + more, overfed }).perDay;
        expect(worse).toBeGreaterThanOrEqual(less);
        expect(worse).toBeLessThan(1);
      }),
    );
  });

  it('asks for so many vessels that one is left', () => {
    expect(vesselsFor(0, 30, 0.95)).toBe(1);
    const vessels = vesselsFor(0.02, 21, 0.95);
    const oneFails = 1 - 0.98 ** 21;
    expect(oneFails ** vessels).toBeLessThanOrEqual(0.05);
    expect(oneFails ** (vessels - 1)).toBeGreaterThan(0.05);
    expect(vesselsFor(0.9, 365, 0.99)).toBe(20);
  });
});
