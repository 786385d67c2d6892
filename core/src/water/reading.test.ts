import fc from 'fast-check';
import {
  READING_RANGE,
  READING_UNITS,
  READINGS,
  refillOf,
  STRIPS,
  toReading,
  unitMixedUp,
  type RefillWater,
} from '.';

describe('a reading in a usual unit', () => {
  it.each([
    ['nitrate', 10, 'N', 44.27],
    ['nitrate', 25, 'NO3', 25],
    ['nitrate', 5, 'no3-n', 22.13],
    ['nitrite', 0.1, 'N', 0.328],
    ['tan', 1, 'NH4', 0.7765],
    ['gh', 100, 'ppm', 5.603],
    ['gh', 1, 'mmol', 5.608],
    ['kh', 10, 'fH', 5.603],
    ['tdsMgL', 500, 'us', 320],
    ['tempC', 77, 'F', 25],
    ['ph', 7.2, '', 7.2],
  ] as const)('%s of %d %s is %d', (of, value, unit, base) => {
    expect(toReading(of, value, unit)).toBeCloseTo(base, 2);
  });

  it('in a unit that it is not told in is nothing', () => {
    expect(toReading('nitrate', 5, 'dGH')).toBeNull();
    expect(toReading('ph', 5, 'mg/L')).toBeNull();
  });

  it('every unit is written in one way only, and rises with its number', () => {
    for (const reading of READINGS) {
      const written = Object.values(READING_UNITS[reading]).flatMap((unit) => unit.written);
      expect(new Set(written).size).toBe(written.length);
      for (const unit of Object.values(READING_UNITS[reading])) {
        expect(unit.toBase(5)).toBeGreaterThan(unit.toBase(4));
      }
    }
  });

  it('colours of a strip rise, lie in their range, and no two are called alike', () => {
    for (const [of, strip] of Object.entries(STRIPS)) {
      const values = strip.map(({ value }) => value);
      expect([...values].sort((a, b) => a - b)).toEqual(values);
      expect(new Set(strip.map(({ word }) => word)).size).toBe(strip.length);
      const [low, high] = READING_RANGE[of as keyof typeof READING_RANGE];
      for (const step of strip) {
        expect(step.value).toBeGreaterThanOrEqual(low);
        expect(step.value).toBeLessThanOrEqual(high);
        expect(step.low).toBeLessThanOrEqual(step.value);
        expect(step.high).toBeGreaterThanOrEqual(step.value);
      }
    }
  });

  it('nitrate and nitrate nitrogen mixed up are recognised', () => {
    expect(unitMixedUp(20, 88)).toBe(true);
    expect(unitMixedUp(40, 9)).toBe(true);
    expect(unitMixedUp(20, 24)).toBe(false);
    expect(unitMixedUp(0, 40)).toBe(false);
  });
});

const tank = { litres: 100, tempC: 25, gh: 8, tdsMgL: 200 };
const tap: RefillWater = { name: 'tap', tempC: 12, gh: 16, tdsMgL: 400, nitrateMgL: 20 };
const rain: RefillWater = { name: 'rain butt', tempC: 8, gh: 0, tdsMgL: 20, nitrateMgL: 1 };

describe('a change in buckets', () => {
  it('counts them, and what the last one holds', () => {
    expect(refillOf(25, tank, [tap, null]).buckets).toEqual({ full: 2, restL: 5, ofL: 10 });
    expect(refillOf(30, tank, [tap, null]).buckets).toEqual({ full: 3, restL: 0, ofL: 10 });
    expect(refillOf(2, tank, [tap, null], 8).buckets).toEqual({ full: 0, restL: 2, ofL: 8 });
  });

  it('mixes two waters to a hardness, and says what cannot be had', () => {
    const mix = refillOf(20, tank, [tap, rain], 10, { of: 'gh', value: 4 });
    expect(mix.parts).toEqual([
      { name: 'tap', litres: 5 },
      { name: 'rain butt', litres: 15 },
    ]);
    expect(mix.after.gh).toBeCloseTo(8 * 0.8 + 4 * 0.2, 9);
    expect(refillOf(20, tank, [tap, rain], 10, { of: 'gh', value: 20 })).toMatchObject({
      impossible: true,
      parts: [{ name: 'tap', litres: 20 }],
    });
    const unknown = refillOf(20, tank, [{ ...tap, gh: null }, rain], 10, { of: 'gh', value: 4 });
    expect(unknown).toMatchObject({ impossible: true, after: { gh: null } });
  });

  it('is to be warmed where it would cool the tank by more than two degrees', () => {
    const cold = refillOf(25, tank, [tap, null]);
    expect(cold.tempered).toBe(true);
    // Nor is a little of it ever so cold as to be felt where it comes in.
    expect(cold.warmTo.from).toBeCloseTo(20, 9);
    expect(refillOf(80, tank, [tap, null]).warmTo.from).toBeCloseTo(22.5, 9);
    expect(cold.after.tempC).toBeCloseTo(25 * 0.75 + 12 * 0.25, 9);
    const mild = { ...tap, tempC: 21 };
    expect(refillOf(10, tank, [mild, null]).tempered).toBe(false);
  });

  it('adds up, whatever is changed', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: 100, noNaN: true }),
        fc.double({ min: 1, max: 30, noNaN: true }),
        fc.double({ min: 0, max: 16, noNaN: true }),
        (litres, ofL, gh) => {
          const { parts, buckets } = refillOf(litres, tank, [tap, rain], ofL, {
            of: 'gh',
            value: gh,
          });
          const poured = parts.reduce((sum, part) => sum + part.litres, 0);
          expect(poured).toBeCloseTo(litres, 6);
          expect(Math.abs(buckets.full * ofL + buckets.restL - litres)).toBeLessThan(0.06);
        },
      ),
    );
  });

  it('of nothing, or more than the tank, is refused', () => {
    expect(() => refillOf(0, tank, [tap, null])).toThrow(RangeError);
    expect(() => refillOf(101, tank, [tap, null])).toThrow(RangeError);
    expect(() => refillOf(5, tank, [tap, null], 0)).toThrow(RangeError);
  });
});
