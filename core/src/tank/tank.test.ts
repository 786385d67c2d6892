import { waterLitres, type TankSize } from '.';

const size = (over: Partial<TankSize>): TankSize => ({
  lengthCm: 100,
  widthCm: 40,
  heightCm: 50,
  waterLevelCm: null,
  litres: null,
  ...over,
});

describe('water in a tank', () => {
  it('is length × width × level', () => {
    expect(waterLitres(size({ waterLevelCm: 45 }))?.value).toBeCloseTo(180, 9);
    expect(waterLitres(size({}))?.value).toBeCloseTo(180, 9);
  });

  it('is what the keeper entered where there are litres', () => {
    expect(waterLitres(size({ litres: 33 }))?.value).toBe(33);
    expect(waterLitres(size({ lengthCm: null }))).toBeNull();
  });

  it('refuses more water than the tank holds', () => {
    expect(() => waterLitres(size({ waterLevelCm: 51 }))).toThrow(/between 0 and 50/);
  });
});
