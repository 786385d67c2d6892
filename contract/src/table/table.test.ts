import { speciesNamed } from '@open-larder/catalogue/search';
import { loadCatalogue } from '@open-larder/catalogue/load';
import fc from 'fast-check';
import { readSheet, writeSheet, type Reader } from '.';
import { blankTank, tankFault, type tankCreate } from '..';
import type { z } from 'zod';

const { species } = loadCatalogue();
const reader: Reader = {
  choice: { units: 'us', temperature: 'F', hardness: 'dGH' },
  today: '2026-03-10',
  speciesNamed: speciesNamed(species),
  commonName: (key) => species.find((row) => row.key === key)?.common ?? key,
};
const one = (table: Parameters<typeof readSheet>[0], header: string, text: string) => {
  const { lines, columns } = readSheet(
    table,
    [
      ['name', header],
      ['x', text],
    ],
    reader,
  );
  return { cell: lines[0]!.cells[1]!, column: columns[1]! };
};

describe('a cell of a table', () => {
  it.each([
    ['length_cm', '10', 10],
    ['length', '10', 25.4],
    ['Length (mm)', '55', 5.5],
    ['Inside length [ft]', '2', 60.96],
    ['length cm', '12', 12],
    ['length', '1 1/2 ft', 45.72],
    ['temp_c', '25', 25],
    ['temp', '77', 25],
    ['Temperature (°C)', '25', 25],
    ['water_l', '54', 54],
    ['Light_on', '7:30', 450],
    ['lights on', '7:30 pm', 1170],
    ['put_away', 'yes', true],
    ['kind', 'Grow-out', 'grow-out'],
  ])('under «%s», «%s» is %s', (header, text, value) => {
    const { cell } = one('tanks', header, text);
    expect(cell.state).toBe('read');
    if (typeof value === 'number') expect(cell.value).toBeCloseTo(value, 9);
    else expect(cell.value).toBe(value);
  });

  it.each([
    ['kind', 'quar', 'quarantine', /taken as «quarantine»/],
    ['plants', 'many, floating', 'many', /taken as «many»/],
  ])('under «%s», «%s» is guessed as %s, and says so', (header, text, value, says) => {
    expect(one('tanks', header, text).cell).toMatchObject({ state: 'guessed', value });
    expect(one('tanks', header, text).cell.says).toMatch(says);
  });

  it.each([
    ['tanks', 'kind', 'castle', /write one of: display, breeding/],
    ['tanks', 'length', 'long', /not a number/],
    ['tanks', 'light_on', '25:00', /not a time/],
    ['tanks', 'light_on', '0:30 am', /not a time/],
    ['tanks', 'put_away', 'perhaps', /yes or no/],
    ['house', 'number', '3.5', /not a whole number/],
    ['house', 'size', '60 x 30', /length × width × height/],
    ['house', 'since', '3/4/2026', /YYYY-MM-DD/],
  ] as const)('in %s under «%s», «%s» is asked about', (table, header, text, says) => {
    expect(one(table, header, text).cell).toMatchObject({ state: 'fault', value: null });
    expect(one(table, header, text).cell.says).toMatch(says);
  });
});

describe('a sheet', () => {
  it('counts lines as an editor does, and passes over empty ones', () => {
    const { lines } = readSheet('tanks', [['name'], ['A'], [''], ['B']], reader);
    expect(lines.map((line) => [line.line, line.values.name])).toEqual([
      [2, 'A'],
      [4, 'B'],
    ]);
  });

  it('takes a column once, and leaves out a second and an unknown one', () => {
    const { columns } = readSheet(
      'tanks',
      [
        ['name', 'Tank', 'mood'],
        ['A', 'B', 'C'],
      ],
      reader,
    );
    expect(columns.map((column) => column.column?.field ?? null)).toEqual(['name', null, null]);
  });

  it('reads back what it writes, whatever units the reader likes', () => {
    const cm = fc.double({ min: 3, max: 1000, noNaN: true });
    fc.assert(
      fc.property(cm, cm, fc.integer({ min: 0, max: 1439 }), (lengthCm, widthCm, lightOnMin) => {
        const row = { ...blankTank, id: 'i', name: 'T', lengthCm, widthCm, lightOnMin };
        const { lines } = readSheet('tanks', writeSheet('tanks', [row]), reader);
        expect(lines[0]?.values).toMatchObject({ lengthCm, widthCm, lightOnMin, tempC: 25 });
      }),
    );
  });

  it('takes any garbage without throwing', () => {
    const rows = fc.array(fc.array(fc.string({ unit: 'grapheme' }), { maxLength: 6 }), {
      maxLength: 6,
    });
    fc.assert(
      fc.property(fc.constantFrom('house', 'tanks', 'groups', 'events'), rows, (table, cells) => {
        expect(Array.isArray(readSheet(table, cells, reader).lines)).toBe(true);
      }),
    );
  });
});

describe('a tank as a whole', () => {
  const tank = {
    ...blankTank,
    id: '01a20b8f-8261-7d0d-87a6-870c81b69e8e',
    name: 'T',
    walkOrder: 1,
    lengthCm: 60,
    widthCm: 30,
    heightCm: 30,
  };
  const fault = (over: Partial<z.input<typeof tankCreate>>) => tankFault({ ...tank, ...over });

  it('holds what fits into it, and not more', () => {
    expect(fault({})).toBeNull();
    expect(fault({ litres: 54 })).toBeNull();
    expect(fault({ litres: 55 })).toMatchObject({ path: 'litres', message: /holds 54 litres/ });
    expect(fault({ waterLevelCm: 31 })?.path).toBe('waterLevelCm');
    expect(fault({ groundDepthCm: 27, ground: 'sand' })?.path).toBe('groundDepthCm');
    expect(fault({ lengthCm: null })?.path).toBe('litres');
    expect(fault({ lengthCm: null, litres: 500 })).toBeNull();
  });
});
