import fc from 'fast-check';
import { compared } from '.';

const flake = {
  name: 'Flake',
  composition: { protein: 0.46, fat: 0.08, fibre: 0.03, ash: 0.1, moisture: 0.07 },
  plantShare: 0.35,
};
const worm = {
  name: 'Worm',
  composition: { protein: 0.06, fat: 0.01, fibre: 0.006, ash: 0.009, moisture: 0.9 },
  plantShare: 0,
};

describe('foods side by side', () => {
  it('are held against each other in dry matter, so that water hides nothing', () => {
    expect(compared(worm, 'omnivore', null).dryProtein).toBeCloseTo(0.6, 9);
    expect(compared(flake, 'omnivore', null).dryProtein).toBeCloseTo(0.46 / 0.93, 9);
    expect(compared(worm, 'omnivore', null).energyKj).toBeLessThan(2.5);
    expect(compared(flake, 'omnivore', null).energyKj).toBeGreaterThan(14);
  });

  it('cost what their energy and protein cost, and nothing is said without a price', () => {
    // At 15 cents a gram, 10 g of protein stand in 10 ÷ 0.46 g of flake.
    expect(compared(flake, 'omnivore', 15).costPer10GProtein).toBeCloseTo(150 / 0.46, 6);
    const { costPer100Kj, energyKj } = compared(flake, 'omnivore', 15);
    expect(costPer100Kj).toBeCloseTo(1500 / energyKj, 6);
    expect(compared(flake, 'omnivore', null).costPer100Kj).toBeNull();
    const water = { ...worm, composition: { protein: 0, fat: 0, fibre: 0, ash: 0, moisture: 1 } };
    expect(compared(water, 'omnivore', 15)).toMatchObject({
      costPer100Kj: null,
      costPer10GProtein: null,
    });
  });

  it('water changes neither dry matter nor what its energy costs', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 0.9, noNaN: true }), (water) => {
        const { protein, fat, fibre, ash, moisture } = flake.composition;
        const wet = 1 - water;
        const soaked = {
          ...flake,
          composition: {
            protein: protein * wet,
            fat: fat * wet,
            fibre: fibre * wet,
            ash: ash * wet,
            moisture: moisture * wet + water,
          },
        };
        const one = compared(flake, 'predator', 10);
        const other = compared(soaked, 'predator', 10 * wet);
        expect(other.dryProtein).toBeCloseTo(one.dryProtein, 9);
        expect(other.costPer100Kj as number).toBeCloseTo(one.costPer100Kj as number, 6);
      }),
    );
  });
});
