import fc from 'fast-check';
import { bringDown, maxAtOnce } from '.';

const rhythm = { everyDays: 7, sourceMgL: 10 };

describe('bringing a tank down', () => {
  it('takes as many changes as fish that stand little bear, and ends low enough to hold', () => {
    const steps = bringDown(60, 20, 0.5, rhythm)!;
    expect(steps.length).toBeGreaterThan(4);
    for (const { share } of steps) expect(share).toBeLessThanOrEqual(0.25);
    expect(steps.map(({ inDays }) => inDays)).toEqual(steps.map((_, at) => at * 2));
    // Low enough that what a week adds does not pass the cap again.
    expect(steps.at(-1)!.toMgL + 0.5 * 7).toBeLessThanOrEqual(20);
  });

  it('takes more at once where they stand more', () => {
    expect(maxAtOnce(80)).toBeGreaterThan(maxAtOnce(20));
    expect(bringDown(100, 80, 0.5, rhythm)!.length).toBe(1);
  });

  it('cannot be done with water that is itself at the cap', () => {
    expect(bringDown(60, 20, 0.5, { ...rhythm, sourceMgL: 19 })).toBeNull();
  });

  it('always goes down, and never below the new water', () => {
    const amount = (max: number) => fc.double({ min: 0, max, noNaN: true });
    fc.assert(
      fc.property(amount(200), amount(80), amount(5), amount(60), (over, cap, adds, source) => {
        const steps = bringDown(cap + over, cap, adds, { everyDays: 7, sourceMgL: source }) ?? [];
        for (const { share, toMgL } of steps) {
          expect(share).toBeGreaterThan(0);
          expect(share).toBeLessThanOrEqual(maxAtOnce(cap) + 1e-9);
          expect(toMgL).toBeGreaterThanOrEqual(source - 1e-9);
        }
      }),
    );
  });
});
