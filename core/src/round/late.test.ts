import fc from 'fast-check';
import { LATE_MIN, lateAdvice, type Late } from './late';

const late = (over: Partial<Late> = {}): Late => ({
  stage: 'adult',
  plannedMin: 450,
  nowMin: 600,
  nextMin: 1110,
  lightChanged: false,
  ...over,
});
const part = (over: Partial<Late>) => lateAdvice(late(over))?.part ?? null;

describe('a serving that is late', () => {
  it('is none at first', () => {
    expect(part({ nowMin: 450 })).toBeNull();
    expect(part({ nowMin: 450 + LATE_MIN })).toBeNull();
    expect(part({ nowMin: 400 })).toBeNull();
  });

  it('is given whole, then half, then left to the next meal', () => {
    // Eleven hours between two meals: up to 3 h 40, up to 7 h 20, and no more.
    expect(part({ nowMin: 600 })).toBe(1);
    expect(part({ nowMin: 760 })).toBe(0.5);
    expect(part({ nowMin: 960 })).toBe(0);
  });

  it('is left out shortly before the next meal, and where the light has changed', () => {
    expect(lateAdvice(late({ nowMin: 540, nextMin: 620 }))).toEqual({ part: 0, why: 'next' });
    expect(lateAdvice(late({ lightChanged: true }))).toEqual({ part: 0, why: 'light' });
  });

  it('of fry is given for longer, since hours count for them', () => {
    expect(part({ stage: 'fry', nowMin: 760 })).toBe(1);
    expect(part({ stage: 'fry', nowMin: 960 })).toBe(0.5);
    expect(part({ stage: 'fry', nowMin: 1090 })).toBe(0);
    expect(part({ stage: 'fry', nowMin: 700, lightChanged: true })).toBe(1);
  });

  it('waits for the same time a day later where nothing else is known', () => {
    expect(part({ nextMin: null, nowMin: 450 + 400 })).toBe(1);
    expect(part({ nextMin: null, nowMin: 450 + 900 })).toBe(0.5);
    expect(part({ nextMin: null, nowMin: 450 + 1400 })).toBe(0);
  });

  it('never grows with time, and is never more than was planned', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('adult', 'juvenile', 'fry', 'conditioning'),
        fc.integer({ min: 0, max: 1439 }),
        fc.integer({ min: 60, max: 2000 }),
        fc.array(fc.integer({ min: 0, max: 2500 }), { minLength: 2, maxLength: 6 }),
        (stage, plannedMin, gap, delays) => {
          const parts = delays
            .sort((a, b) => a - b)
            .map((delay) =>
              lateAdvice(
                late({
                  stage: stage as Late['stage'],
                  plannedMin,
                  nowMin: plannedMin + delay,
                  nextMin: plannedMin + gap,
                }),
              ),
            )
            .flatMap((advice) => (advice ? [advice.part] : []));
          expect(parts).toEqual([...parts].sort((a, b) => b - a));
          expect(parts.every((one) => one >= 0 && one <= 1)).toBe(true);
        },
      ),
    );
  });
});
