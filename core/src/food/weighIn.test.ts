import fc from 'fast-check';
import { unitMass } from '.';

const weighed = (hand: string, units: number, massG: number) => ({ hand, units, massG });

describe('weighing a serving unit in', () => {
  it('«twenty pinches weighed 1.1 g» is 0.055 g a pinch', () => {
    const { massG, spreadG } = unitMass('pinch', [weighed('Mine', 20, 1.1)], 'Mine', 0.07);
    expect(massG.value).toBeCloseTo(0.055, 12);
    expect(massG.basis).toBe('computed');
    expect(massG.from.map((one) => one.basis)).toEqual(['measured', 'measured']);
    // One weighing says nothing of how pinches differ.
    expect(spreadG).toBeNull();
  });

  it('stands at the usual mass until then, and says that it is assumed', () => {
    const { massG, units } = unitMass('pinch', [], null, 0.07);
    expect(massG).toMatchObject({ value: 0.07, basis: 'assumed' });
    expect(units).toBe(0);
  });

  it('keeps hands apart, and pools them for nobody in particular', () => {
    const all = [weighed('Small', 20, 1), weighed('Large', 20, 2)];
    expect(unitMass('pinch', all, 'Small', 1).massG.value).toBeCloseTo(0.05, 12);
    expect(unitMass('pinch', all, 'Large', 1).massG.value).toBeCloseTo(0.1, 12);
    expect(unitMass('pinch', all, null, 1).massG.value).toBeCloseTo(0.075, 12);
    expect(unitMass('pinch', all, 'Nobody', 1).massG.value).toBeCloseTo(0.075, 12);
  });

  it('spread is that of single units, worked by hand', () => {
    // Single pinches of 1, 2 and 3 g have a standard deviation of 1 g.
    const singles = [1, 2, 3].map((grams) => weighed('Mine', 1, grams));
    expect(unitMass('pinch', singles, 'Mine', 1).spreadG).toBeCloseTo(1, 12);
    // Means of four that differ as much come from units that differ twice as much.
    const fours = [1, 2, 3].map((grams) => weighed('Mine', 4, 4 * grams));
    expect(unitMass('pinch', fours, 'Mine', 1).spreadG).toBeCloseTo(2, 12);
  });

  it('lies between the lightest and the heaviest mean, whatever was weighed', () => {
    const one = fc.record({
      hand: fc.constant('Mine'),
      units: fc.integer({ min: 1, max: 100 }),
      massG: fc.double({ min: 0.001, max: 100, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.array(one, { minLength: 1, maxLength: 8 }), (all) => {
        const means = all.map(({ units, massG }) => massG / units);
        const { massG, spreadG } = unitMass('pinch', all, null, 1);
        expect(massG.value).toBeGreaterThanOrEqual(Math.min(...means) * (1 - 1e-9));
        expect(massG.value).toBeLessThanOrEqual(Math.max(...means) * (1 + 1e-9));
        expect(spreadG ?? 0).toBeGreaterThanOrEqual(0);
      }),
    );
  });
});
