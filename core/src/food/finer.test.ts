import fc from 'fast-check';
import { finerMeasure, finersOf, stepAt, toGrams, toServingUnits, type ServingUnit } from '.';

const powder = {
  kind: 'dry' as const,
  family: 'mortar' as const,
  pieceForm: 'powder' as const,
  particleMinMm: 0.05,
  particleMaxMm: 0.2,
};
const tablet = {
  kind: 'dry' as const,
  family: 'leaf' as const,
  pieceForm: 'disc' as const,
  particleMinMm: 8,
  particleMaxMm: 14,
};
const larvae = {
  kind: 'frozen' as const,
  family: 'cube' as const,
  pieceForm: 'worm' as const,
  particleMinMm: 8,
  particleMaxMm: 15,
};
const unitOf = (
  food: Omit<Parameters<typeof finersOf>[0], 'unit'>,
  name: string,
  massG: number,
  step: number,
): ServingUnit => {
  const unit = { name, plural: `${name}s`, massG, step };
  return { ...unit, finer: finersOf({ ...food, unit }) };
};
const tip = unitOf(powder, 'knife tip', 0.04, 0.5);
const whole = unitOf(tablet, 'tablet', 0.6, 0.25);
const cube = unitOf(larvae, 'cube', 3.2, 0.25);

describe('less than the smallest step', () => {
  it.each([
    ['powder for a tub of fry: stirred into a glass', tip, 0.0016, 'mL', 4],
    ['a tablet for four small catfish: crumbled', whole, 0.06, 'tip', 1.5],
    ['a tablet for one: crumbs in a glass', whole, 0.008, 'mL', 20],
    ['midge larvae for a nano tank: thawed in a glass', cube, 0.16, 'mL', 10],
  ])('%s', (_, unit, massG, by, measures) => {
    const served = finerMeasure(toServingUnits(massG, unit), unit)!;
    expect(served.finer.by).toBe(by);
    expect(served.units).toBeCloseTo(measures, 6);
  });

  it('grains that sink at once are crushed before they are stirred, fine ones are not', () => {
    const grains = (particleMaxMm: number) => {
      const food = { ...powder, pieceForm: 'grain' as const, particleMinMm: 0.2, particleMaxMm };
      return unitOf(food, 'pinch', 0.13, 0.5).finer!.map(({ made }) => made);
    };
    expect(grains(0.8)).toEqual(['crumbled', 'crumbled']);
    expect(grains(0.4)).toEqual([null, null]);
  });

  it('a little under a step stays a step', () => {
    expect(toServingUnits(0.1, whole)).toBe(whole.step);
  });

  it.each([
    ['pellets that are counted', { ...tablet, pieceForm: 'stick' as const }, 0.01, 1],
    ['leaves', { ...tablet, pieceForm: 'leaf' as const }, 1.2, 0.25],
    ['a block for the holidays', { ...tablet, pieceForm: 'block' as const }, 20, 1],
    ['fresh slices', { ...tablet, kind: 'fresh' as const }, 8, 0.25],
    ['fish too large to be poured', { ...larvae, particleMaxMm: 40 }, 2, 0.25],
  ])('%s are given whole, or on fewer days', (_, food, massG, step) => {
    expect(finersOf({ ...food, unit: { massG, step } })).toEqual([]);
  });

  it('is never far from what is wanted, as long as it can be measured', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(tip, whole, cube),
        fc.double({ min: 0.03, max: 0.48, noNaN: true }),
        (unit, part) => {
          const wanted = part * unit.massG * unit.step;
          const units = toServingUnits(wanted, unit);
          const served = toGrams(units, unit);
          expect(served / wanted).toBeGreaterThan(0.6);
          expect(served / wanted).toBeLessThan(1.7);
          // What is served is a number of steps, and is said as one.
          const steps = units / stepAt(units, unit);
          expect(steps).toBeCloseTo(Math.round(steps), 2);
        },
      ),
    );
  });
});
