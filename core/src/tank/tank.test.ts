import fc from 'fast-check';
import { furnishingOf, TANK_KINDS, TANK_SHAPES, waterLitres, type TankWater } from '.';

const tank = (over: Partial<TankWater> = {}): TankWater => ({
  kind: 'quarantine',
  shape: 'box',
  lengthCm: 100,
  widthCm: 40,
  heightCm: 50,
  waterLevelCm: null,
  litres: null,
  ground: null,
  groundDepthCm: null,
  decor: null,
  filter: null,
  flow: null,
  plants: null,
  cover: null,
  sourceWater: null,
  ...over,
});
const litres = (over: Partial<TankWater>) => waterLitres(tank(over))?.value;

describe('water in a tank', () => {
  it('is length × width × level where nothing else is in it', () => {
    expect(litres({ waterLevelCm: 45 })).toBeCloseTo(180, 9);
    expect(litres({})).toBeCloseTo(180, 9);
  });

  // Worked by hand: 180 L filled; 5 cm of gravel in 45 cm of water is 20 L, of which 60 % is stone.
  it.each([
    [{ ground: 'gravel', groundDepthCm: 5 }, 168],
    [{ ground: 'sand', groundDepthCm: 9 }, 180 - 36 * 0.65],
    [{ decor: 'much' }, 165.6],
    [{ ground: 'gravel', groundDepthCm: 5, decor: 'some' }, 168 * 0.97],
    [{ ground: 'bare', groundDepthCm: 5 }, 180],
  ] as const)('less ground, wood and stone: %j', (over, expected) => {
    expect(litres(over)).toBeCloseTo(expected, 6);
  });

  it.each([
    ['cylinder', 40, 40, (Math.PI * 20 * 20 * 45) / 1000],
    ['corner', 60, 60, (Math.PI * 60 * 60 * 45) / 4000],
    ['hexagon', 60, 60 * Math.sin(Math.PI / 3), ((3 * Math.sqrt(3)) / 2) * 30 ** 2 * 0.045],
  ] as const)('%s of %d cm', (shape, lengthCm, widthCm, expected) => {
    expect(litres({ shape, lengthCm, widthCm })).toBeCloseTo(expected, 6);
  });

  it('a bowl filled to the brim is a ball', () => {
    const over = {
      shape: 'bowl',
      lengthCm: 30,
      widthCm: 30,
      heightCm: 30,
      waterLevelCm: 30,
    } as const;
    expect(litres(over)).toBeCloseTo(((4 / 3) * Math.PI * 15 ** 3) / 1000, 6);
  });

  it('is what the keeper entered where there are litres', () => {
    expect(litres({ litres: 33, decor: 'much' })).toBe(33);
    expect(waterLitres(tank({ lengthCm: null }))).toBeNull();
  });

  it('refuses more water than the tank holds, and ground above the water', () => {
    expect(() => waterLitres(tank({ waterLevelCm: 51 }))).toThrow(/between 0 and 50/);
    expect(() => waterLitres(tank({ ground: 'sand', groundDepthCm: 46 }))).toThrow(/ground/);
  });

  it('never holds more than its box, rises with the level, and lists its guesses', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...TANK_KINDS),
        fc.constantFrom(...TANK_SHAPES),
        fc.integer({ min: 5, max: 45 }),
        (kind, shape, level) => {
          const low = litres({ kind, shape, lengthCm: 50, widthCm: 50, waterLevelCm: level })!;
          const high = litres({ kind, shape, lengthCm: 50, widthCm: 50, waterLevelCm: level + 5 })!;
          expect(low).toBeGreaterThan(0);
          expect(high).toBeGreaterThan(low);
          expect(low).toBeLessThanOrEqual((50 * 50 * level) / 1000 + 1e-9);
        },
      ),
    );
  });
});

describe('what is guessed about a tank', () => {
  it('follows from its kind, and gives way to what the keeper says', () => {
    const guesses = furnishingOf(tank({ kind: 'display', plants: 'dense' }));
    expect(guesses).toMatchObject({ ground: 'gravel', groundDepthCm: 4, plants: 'dense' });
    expect(guesses.guessed).toContain('ground');
    expect(guesses.guessed).not.toContain('plants');
  });

  it('a floor said to be bare has no depth; one said to be covered has a usual one', () => {
    expect(furnishingOf(tank({ kind: 'display', ground: 'bare' })).groundDepthCm).toBe(0);
    expect(furnishingOf(tank({ kind: 'quarantine', ground: 'sand' })).groundDepthCm).toBe(4);
  });
});
