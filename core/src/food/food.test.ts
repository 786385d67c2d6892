import fc from 'fast-check';
import { carbohydrate, digestibleEnergy, toGrams, toServingUnits } from '.';

const flake = { protein: 0.46, fat: 0.08, fibre: 0.03, ash: 0.1, moisture: 0.07 };
const worm = { protein: 0.06, fat: 0.01, fibre: 0.006, ash: 0.009, moisture: 0.9 };
const pinch = { name: 'pinch', plural: 'pinches', massG: 0.055, step: 0.5 };

describe('digestible energy', () => {
  it('of a flake is about 14 to 15 kJ a gram, worked by hand', () => {
    // 23.6·0.46·0.88 + 39.5·0.08·0.90 + 17.2·0.26·0.55
    expect(digestibleEnergy('flake', flake, 'omnivore').value).toBeCloseTo(14.857, 2);
  });

  it('of a thawed worm is a tenth of that', () => {
    const energy = digestibleEnergy('worm', worm, 'predator').value;
    expect(energy).toBeGreaterThan(1.4);
    expect(energy).toBeLessThan(2.2);
  });

  it('counts carbohydrate more for a plant gut than for a predator', () => {
    expect(digestibleEnergy('flake', flake, 'plant grazer').value).toBeGreaterThan(
      digestibleEnergy('flake', flake, 'predator').value,
    );
  });

  it('refuses a composition over 100 %', () => {
    expect(() => carbohydrate({ ...flake, protein: 0.9 })).toThrow(/more than the whole/);
  });
});

describe('serving units', () => {
  it('agree with grams within half a step, and never deal nothing for something', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1e-5, max: 500, noNaN: true }),
        fc.double({ min: 0.001, max: 20, noNaN: true }),
        fc.constantFrom(0.25, 0.5, 1),
        (grams, massG, step) => {
          const unit = { ...pinch, massG, step };
          const back = toGrams(toServingUnits(grams, unit), unit);
          expect(back).toBeGreaterThan(0);
          if (grams >= massG * step) {
            expect(Math.abs(back - grams)).toBeLessThanOrEqual(
              (massG * step) / 2 + 1e-6 * grams + 1e-5,
            );
          }
        },
      ),
    );
    expect(toServingUnits(0, pinch)).toBe(0);
  });
});
