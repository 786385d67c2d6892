import fc from 'fast-check';
import { scaleOf, type Measure, type UnitChoice } from '@open-larder/core/units';
import { readMeasure, readNumberAlone, formatQuantity, formatSignificant } from '.';

const METRIC: UnitChoice = { units: 'metric', temperature: 'C', hardness: 'dGH' };
const US: UnitChoice = { units: 'us', temperature: 'F', hardness: 'ppm' };
const MEASURES: Measure[] = ['length', 'area', 'volume', 'temperature', 'mass', 'hardness', 'flow'];
const choices = fc.record<UnitChoice>({
  units: fc.constantFrom('metric', 'us'),
  temperature: fc.constantFrom('C', 'F'),
  hardness: fc.constantFrom('dGH', 'ppm'),
});
const base = fc.double({ min: 0.01, max: 1e5, noNaN: true });

describe('units', () => {
  it.each([
    ['length', 2.54, '1 in', '2.5 cm'],
    ['volume', 75.708, '20 gal', '76 L'],
    ['volume', 6.4, '1.7 gal', '6.4 L'],
    ['volume', 0.084, '2.8 fl oz', '0.08 L'],
    ['area', 1.5, '23 in²', '1.5 dm²'],
    ['temperature', 25.5, '77.9 °F', '25.5 °C'],
    ['mass', 28.35, '1 oz', '28.35 g'],
    ['hardness', 6, '107 ppm', '6 dGH'],
    ['flow', 757, '200 gal/h', '757 L/h'],
  ] as const)('%s', (measure, value, us, metric) => {
    expect(formatQuantity(US, measure, value)).toBe(us);
    expect(formatQuantity(METRIC, measure, value)).toBe(metric);
  });

  it('are chosen one by one', () => {
    expect(formatQuantity({ ...METRIC, temperature: 'F' }, 'temperature', 25)).toBe('77 °F');
    expect(formatQuantity({ ...METRIC, temperature: 'F' }, 'length', 25)).toBe('25 cm');
  });

  it('come back unchanged from any system: switching units changes nothing stored', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...MEASURES),
        fc.array(choices, { maxLength: 6 }),
        base,
        (measure, path, stored) => {
          const shown = path.reduce((value, choice) => {
            const scale = scaleOf(choice, measure);
            return scale.toBase(scale.fromBase(value));
          }, stored);
          expect(Math.abs(shown - stored)).toBeLessThanOrEqual(1e-9 * Math.max(1, stored));
        },
      ),
    );
  });

  it('say three significant digits without exponents', () => {
    expect([0.0000123, 0.0456, 1.5, 12345].map((value) => formatSignificant(value))).toEqual([
      '0.0000123',
      '0.0456',
      '1.5',
      '12345',
    ]);
  });
});

describe('a quantity as it is typed', () => {
  it.each([
    ['1 1/2 in', 'length', 3.81],
    ['1½"', 'length', 3.81],
    ['5 ft 3 in', 'length', 160.02],
    ['4\' 6"', 'length', 137.16],
    ['35mm', 'length', 3.5],
    ['20 gal', 'volume', 75.70823568],
    ['20 imp gal', 'volume', 90.9218],
    ['750 ml', 'volume', 0.75],
    ['78F', 'temperature', 25.5556],
    ['25,5 °C', 'temperature', 25.5],
    ['25.5 degrees C', 'temperature', 25.5],
    ['−2 C', 'temperature', -2],
    ['6 dGH', 'hardness', 6],
    ['107 ppm', 'hardness', 5.995],
    ['1/2 oz', 'mass', 14.1748],
    ['.5', 'length', 0.5],
    ['12,75', 'volume', 12.75],
    ['5 l/min', 'flow', 300],
    ['1 200 l', 'volume', 1200],
    ['1\u202f200 l', 'volume', 1200],
    ['1’200 l', 'volume', 1200],
    ['1,200 l', 'volume', 1200],
    ['1.200,5 l', 'volume', 1200.5],
    ['1,200.5 l', 'volume', 1200.5],
    ['1.200 l', 'volume', 1.2],
    ['0,125 l', 'volume', 0.125],
    ['‹5 dGH', 'hardness', 5],
    ['<5', 'hardness', 5],
    ['~60 l', 'volume', 60],
    ['ca. 60 l', 'volume', 60],
    ['107 ppm CaCO3', 'hardness', 5.995],
    ['5 °KH', 'hardness', 5],
  ] as const)('%s is %s %d', (text, measure, value) => {
    expect(readMeasure(text, measure, METRIC).base).toBeCloseTo(value, 3);
  });

  it('without a unit is in the keeper’s own', () => {
    expect(readMeasure('20', 'volume', US).base).toBeCloseTo(75.708, 3);
    expect(readMeasure('77', 'temperature', US).base).toBeCloseTo(25, 9);
    expect(readMeasure('77', 'temperature', METRIC).base).toBe(77);
  });

  it.each([
    ['25–30 mm', 'length', /is a range; write one number/],
    ['25-30 mm', 'length', /is a range/],
    ['25 to 30 mm', 'length', /is a range/],
    ['25mm-30mm', 'length', /is a range/],
    ['three', 'length', /not a number; write one such as 12.7 cm/],
    ['12 parsecs', 'length', /«parsecs» is not known here; cm, mm, m, in and ft are/],
    ['12 kg', 'temperature', /°C and °F are/],
    ['12 34', 'length', /more than one way/],
    ['1 in 2 in 3 in', 'length', /more than one way/],
    ['1/0 in', 'length', /more than one way/],
  ] as const)('«%s» is asked about', (text, measure, words) => {
    expect(readMeasure(text, measure, METRIC).error).toMatch(words);
  });

  it.each([
    ['1 200', 1200],
    ['1,200', 1200],
    ['1.200,5', 1200.5],
    ['<5', 5],
    ['24,5', 24.5],
    ['1 1/2', 1.5],
    ['-3', -3],
  ])('«%s» alone is %d', (text, value) => expect(readNumberAlone(text).base).toBe(value));

  it.each(['', 'x', '5 6', '3-4', '1/0', '1..2'])('«%s» alone is no number', (text) =>
    expect(readNumberAlone(text).error).toMatch(/is not a number|is a range/),
  );

  it('reads back what it says, in every unit', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...MEASURES),
        choices,
        choices,
        base,
        (measure, said, own, value) => {
          const { unit, fromBase } = scaleOf(said, measure);
          const read = readMeasure(`${fromBase(value).toFixed(6)} ${unit}`, measure, own);
          expect(Math.abs((read.base as number) - value)).toBeLessThan(1e-4);
        },
      ),
    );
  });

  it('never throws on garbage, and never gives a number that is none', () => {
    fc.assert(
      fc.property(
        fc.string({ unit: 'grapheme' }),
        fc.constantFrom(...MEASURES),
        (text, measure) => {
          const read = readMeasure(text, measure, METRIC);
          expect(read.error !== undefined || Number.isFinite(read.base)).toBe(true);
        },
      ),
    );
  });
});
