import fc from 'fast-check';
import { ripeOn, ripening } from '.';

const fed = () => 0.5;
const fresh = { tempC: 25, addsOn: fed, begun: 0.001 };

describe('a tank that ripens', () => {
  it('has its ammonia first, then its nitrite, and both are gone after weeks', () => {
    const days = ripening(80, fresh);
    const top = (of: 'tan' | 'nitrite') =>
      days.reduce((best, day, at) => (day[of] > days[best]![of] ? at : best), 0);
    expect(top('tan')).toBeGreaterThan(7);
    expect(top('tan')).toBeLessThan(25);
    expect(top('nitrite')).toBeGreaterThan(top('tan'));
    const ripe = ripeOn(days);
    expect(ripe).toBeGreaterThan(20);
    expect(ripe).toBeLessThan(60);
  });

  it('is sooner ripe with a used sponge, and later in the cold', () => {
    const usual = ripeOn(ripening(120, fresh))!;
    expect(ripeOn(ripening(120, { ...fresh, begun: 0.3 }))!).toBeLessThan(usual / 2);
    expect(ripeOn(ripening(120, { ...fresh, tempC: 16 }))!).toBeGreaterThan(usual);
    expect(ripeOn(ripening(10, fresh))).toBeNull();
    expect(ripeOn(ripening(10, { ...fresh, addsOn: () => 0 }))).toBe(0);
  });

  it('loses no nitrogen: what was added is there as one of the three', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 5, noNaN: true }),
        fc.double({ min: 5, max: 35, noNaN: true }),
        fc.double({ min: 0.0001, max: 1, noNaN: true }),
        fc.integer({ min: 1, max: 60 }),
        (adds, tempC, begun, count) => {
          const { tan, nitrite, nitrate } = ripening(count, {
            tempC,
            begun,
            addsOn: () => adds,
          }).at(-1)!;
          expect(tan + nitrite + nitrate).toBeCloseTo(adds * count, 6);
          expect(Math.min(tan, nitrite, nitrate)).toBeGreaterThanOrEqual(0);
        },
      ),
      { numRuns: 40 },
    );
  });

  it('goes with the water that is changed, and the bacteria stay', () => {
    const plain = ripening(12, fresh);
    const changed = ripening(12, { ...fresh, changes: [{ day: 11, share: 0.5 }] });
    expect(changed[11]!.tan).toBeCloseTo(plain[11]!.tan / 2, 9);
    expect(() => ripening(5, { ...fresh, tempC: 50 })).toThrow(RangeError);
  });
});
