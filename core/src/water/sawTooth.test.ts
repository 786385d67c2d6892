import fc from 'fast-check';
import {
  addsFor,
  afterFillingUp,
  everyFor,
  peakOf,
  sawTooth,
  shareFor,
  troughOf,
  type Change,
} from '.';

const rhythm = { share: 0.25, everyDays: 7, sourceMgL: 10 };

describe('a rhythm of changes', () => {
  it('has the peak and the trough that are worked by hand', () => {
    // 2 mg/L a day, 14 in a week: 10 + 14 / 0.25.
    expect(peakOf(2, rhythm)).toBeCloseTo(66, 12);
    expect(troughOf(2, rhythm)).toBeCloseTo(66 * 0.75 + 2.5, 12);
    expect(peakOf(2, rhythm) - troughOf(2, rhythm)).toBeCloseTo(14, 12);
    expect(() => peakOf(2, { ...rhythm, share: 0 })).toThrow(RangeError);
  });

  it('is solved for each of its parts, each the other’s way back', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: 10, noNaN: true }),
        fc.double({ min: 0.05, max: 1, noNaN: true }),
        fc.integer({ min: 1, max: 30 }),
        fc.double({ min: 0, max: 40, noNaN: true }),
        (adds, share, everyDays, sourceMgL) => {
          const one = { share, everyDays, sourceMgL };
          const cap = peakOf(adds, one);
          expect(shareFor(cap, adds, one)).toBeCloseTo(share, 6);
          expect(everyFor(cap, adds, one)).toBeCloseTo(everyDays, 6);
          expect(addsFor(cap, one)).toBeCloseTo(adds, 6);
        },
      ),
    );
  });

  it('cannot keep under a cap that the new water is over, nor by more than all of it', () => {
    expect(shareFor(5, 2, rhythm)).toBeNull();
    expect(everyFor(5, 2, rhythm)).toBeNull();
    expect(addsFor(5, rhythm)).toBeNull();
    expect(shareFor(12, 2, rhythm)).toBeNull();
    expect(shareFor(40, 0, rhythm)).toBe(0);
    expect(everyFor(40, 0, rhythm)).toBe(Infinity);
  });

  it('comes to its peak day by day, wherever it began', () => {
    const weekly = (days: number): Change[] =>
      Array.from({ length: Math.floor(days / 7) }, (_, week) => ({ ...rhythm, day: week * 7 + 6 }));
    for (const start of [0, 200]) {
      const days = sawTooth(start, 350, () => 2, weekly(350));
      expect(days[349]!.before).toBeCloseTo(peakOf(2, rhythm), 3);
      expect(days[349]!.after).toBeCloseTo(troughOf(2, rhythm), 3);
    }
    // What plants take up beyond what is there is not there.
    expect(sawTooth(3, 4, () => -2, []).map(({ after }) => after)).toEqual([1, 0, 0, 0]);
  });

  it('held back for a while rises, and a large cool one brings it down at once', () => {
    const days = sawTooth(20, 22, () => 1, [{ day: 21, share: 0.5, sourceMgL: 10 }]);
    expect(days[20]!.after).toBe(41);
    expect(days[21]).toEqual({ before: 42, after: 26 });
  });

  it('what evaporates leaves what was dissolved, and what fills it up adds its own', () => {
    expect(afterFillingUp(100, 0.2, 0)).toBe(100);
    expect(afterFillingUp(100, 0.2, 50)).toBe(110);
    expect(() => afterFillingUp(100, 1.01, 0)).toThrow(RangeError);
  });
});
