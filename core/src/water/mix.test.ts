import fc from 'fast-check';
import { changeTo, mixed, mixFor, stepsTo, type MixedWater } from '.';

const tap: MixedWater = { tdsMgL: 320, gh: 16, tempC: 12 };
const rain: MixedWater = { tdsMgL: 20, gh: 0, tempC: 8 };
const tank: MixedWater = { tdsMgL: 300, gh: 12, tempC: 25 };

describe('mixing waters', () => {
  it('is a weighted mean, worked by hand', () => {
    expect(mixed(tap, rain, 0.25)).toEqual({ tdsMgL: 95, gh: 4, tempC: 9 });
    expect(mixFor('gh', 4, tap, rain)).toBeCloseTo(0.25, 12);
    expect(mixFor('gh', 20, tap, rain)).toBeNull();
    expect(mixFor('gh', 5, tap, { ...rain, gh: 16 })).toBeNull();
    expect(mixFor('gh', 16, tap, { ...rain, gh: 16 })).toBe(1);
    expect(() => mixed(tap, rain, 1.5)).toThrow(RangeError);
  });

  it('meets its target wherever the two can', () => {
    const water = fc.record({
      tdsMgL: fc.double({ min: 0, max: 1000, noNaN: true }),
      gh: fc.double({ min: 0, max: 30, noNaN: true }),
      tempC: fc.double({ min: 4, max: 32, noNaN: true }),
    });
    fc.assert(
      fc.property(water, water, fc.double({ min: 0, max: 30, noNaN: true }), (a, b, target) => {
        const share = mixFor('gh', target, a, b);
        const inside = target >= Math.min(a.gh, b.gh) && target <= Math.max(a.gh, b.gh);
        if (share === null) expect(inside && Math.abs(a.gh - b.gh) > 1e-6).toBe(false);
        else expect(mixed(a, b, share).gh).toBeCloseTo(target, 6);
      }),
    );
  });
});

describe('a trigger by changes', () => {
  it('cools a tank with the share that is told', () => {
    // From 25 down to 22 with water of 8 degrees: 3/17.
    expect(changeTo('tempC', 22, tank, rain)).toBeCloseTo(3 / 17, 12);
    expect(changeTo('tempC', 5, tank, rain)).toBeNull();
  });

  it('in steps comes to its target, none larger than the fish stand', () => {
    const steps = stepsTo('tdsMgL', 100, tank, rain, { everyDays: 2, maxShare: 0.25 })!;
    expect(steps.length).toBeGreaterThan(2);
    expect(steps.at(-1)!.after.tdsMgL).toBeCloseTo(100, 6);
    steps.forEach(({ share, day }, at) => {
      expect(share).toBeLessThanOrEqual(0.25 + 1e-12);
      expect(day).toBe(at * 2);
    });
    expect(stepsTo('tdsMgL', 5, tank, rain, { everyDays: 2, maxShare: 0.25 })).toBeNull();
    expect(stepsTo('tdsMgL', 300, tank, rain, { everyDays: 2, maxShare: 0.25 })).toEqual([]);
  });
});
