import fc from 'fast-check';
import { say, saySignificant, scaleOf, type Measure } from '.';

describe('units', () => {
  it.each([
    ['length', 2.54, '1 in', '2.5 cm'],
    ['volume', 75.708, '20 gal', '76 L'],
    ['temperature', 25.5, '77.9 °F', '25.5 °C'],
    ['mass', 28.35, '1 oz', '28.35 g'],
  ] as const)('%s', (measure, base, us, metric) => {
    expect(say('us', measure, base)).toBe(us);
    expect(say('metric', measure, base)).toBe(metric);
  });

  it('come back unchanged from any system', () => {
    fc.assert(
      fc.property(
        fc.constantFrom<Measure>('length', 'volume', 'temperature', 'mass'),
        fc.constantFrom<'us' | 'metric'>('us', 'metric'),
        fc.double({ min: 0.01, max: 1e5, noNaN: true }),
        (measure, system, base) => {
          const scale = scaleOf(system, measure);
          expect(scale.toBase(scale.fromBase(base))).toBeCloseTo(base, 6);
        },
      ),
    );
  });

  it('say three significant digits without exponents', () => {
    expect([0.0000123, 0.0456, 1.5, 12345].map(saySignificant)).toEqual([
      '0.0000123',
      '0.0456',
      '1.5',
      '12345',
    ]);
  });
});
