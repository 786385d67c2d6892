import type { UnitChoice } from '@open-larder/core/units';
import { readDaysAt, formatDays } from './daysAt';

const metric: UnitChoice = { units: 'metric', temperature: 'C', hardness: 'dGH' };
const us: UnitChoice = { units: 'us', temperature: 'F', hardness: 'ppm' };

describe('days at a temperature, as keepers write them', () => {
  it.each([
    ['6 to 8 days at 28 °C', 6, 8, 28],
    ['6-8 d @ 28C', 6, 8, 28],
    ['6–8 days at 82.4 °F', 6, 8, 28],
    ['48 to 72 h at 26', 2, 3, 26],
    ['about 7 days', 7, 7, null],
    ['7', 7, 7, null],
    ['1,5 days, 25 °C', 1.5, 1.5, 25],
    ['8 to 6 days at 28', 6, 8, 28],
    ['150 degree-days', 6, 6, null],
    ['168 °C·d at 28', 6, 6, 28],
  ])('%s', (text, minDays, maxDays, tempC) => {
    const { days, error } = readDaysAt(text, metric, 25);
    expect(error).toBeUndefined();
    expect(days!.minDays).toBeCloseTo(minDays, 6);
    expect(days!.maxDays).toBeCloseTo(maxDays, 6);
    if (tempC === null) expect(days!.tempC).toBeNull();
    else expect(days!.tempC).toBeCloseTo(tempC, 6);
  });

  it('a temperature without a unit is in the keeper’s own', () => {
    expect(readDaysAt('2 days at 77', us, 25).days!.tempC).toBeCloseTo(25, 6);
  });

  it.each(['soon', '0 days', '400 days', '3 days at noon', '3 weeks-ish', '-2 days'])(
    '«%s» is refused with a sentence',
    (text) => expect(readDaysAt(text, metric, 25).error).toMatch(/\w+ \w+/),
  );

  it('reads back as it is said', () => {
    expect(formatDays({ minDays: 6, maxDays: 8 })).toBe('6 to 8 days');
    expect(formatDays({ minDays: 1, maxDays: 1 })).toBe('1 day');
    expect(readDaysAt(formatDays({ minDays: 2, maxDays: 3.5 }), metric, 25).days).toMatchObject({
      minDays: 2,
      maxDays: 3.5,
    });
  });
});
