import { speciesNamed } from '@open-larder/catalogue/search';
import { loadCatalogue } from '@open-larder/catalogue/load';
import fc from 'fast-check';
import { readSheet, writeSheet, type Reader } from '.';
import { blankTank, tankError, type tankCreate } from '..';
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

/** The cells of one column under a header, and what is left open. */
const columnOf = (
  table: Parameters<typeof readSheet>[0],
  header: string,
  texts: string[],
  writing?: Parameters<typeof readSheet>[3],
) => {
  const rows = [['name', header], ...texts.map((text) => ['x', text])];
  const { lines, doubts } = readSheet(table, rows, reader, writing);
  return { cells: lines.map(({ cells }) => cells[1]!), doubts };
};
const valuesOf = (...args: Parameters<typeof columnOf>) =>
  columnOf(...args).cells.map(({ value }) => value);

describe('numbers as people write them', () => {
  it.each([
    ['1,000 g', '2.5 g', 1000],
    ['1.000 g', '2,5 g', 1000],
    ['1 200,5 g', '2,5 g', 1200.5],
    ['1 200 g', '2.5 g', 1200],
    ['1’200 g', '2.5 g', 1200],
    ['1,234.5 g', '900 g', 1234.5],
    ['1.234,5 g', '900 g', 1234.5],
    ['1,234,567 g', '900 g', 1_234_567],
  ])('«%s» beside «%s» is %s g', (text, beside, grams) => {
    const [first] = valuesOf('lots', 'Amount', [text, beside]);
    expect(first).toBeCloseTo(grams, 6);
  });

  it('«€1,234» beside «€8.90» is a price of over a thousand, and marked', () => {
    const { cells } = columnOf('lots', 'Price', ['€1,234', '€8.90']);
    expect(cells.map(({ value }) => value)).toEqual([123_400, 890]);
    expect(cells[0]).toMatchObject({ state: 'guessed', says: 'taken as €1234' });
  });

  it('that stand alone are asked about, and taken as they are said to be', () => {
    const { cells, doubts } = columnOf('lots', 'Amount', ['1,000 g', '5 g']);
    expect(cells[0]).toMatchObject({ state: 'error', says: expect.stringMatching(/thousands or/) });
    expect(doubts).toEqual(['numbers']);
    const as = (numbers: 'point' | 'comma') =>
      valuesOf('lots', 'Amount', ['1,000 g', '5 g'], { numbers, days: null })[0];
    expect(as('point')).toBe(1000);
    expect(as('comma')).toBe(1);
  });

  it('of which others contradict each other are asked about too', () => {
    const { cells, doubts } = columnOf('lots', 'Amount', ['1,000 g', '2.5 g', '2,5 g']);
    expect(cells.map(({ state }) => state)).toEqual(['error', 'read', 'read']);
    expect(doubts).toEqual(['numbers']);
  });

  it('of fish are thousands: there is no half a fish', () => {
    expect(valuesOf('house', 'Number', ['1,000', '12'])).toEqual([1000, 12]);
    expect(valuesOf('house', 'Number', ['1.000', '12'])).toEqual([1000, 12]);
  });

  it('that were written here are read as they were written', () => {
    expect(valuesOf('lots', 'amount_g', ['3.125', '12.5'])).toEqual([3.125, 12.5]);
    expect(columnOf('lots', 'amount_g', ['3.125']).doubts).toEqual([]);
  });
});

describe('days as people write them', () => {
  it.each([
    [['2026-04-03'], '2026-04-03'],
    [['3.4.2026'], '2026-04-03'],
    [['03/04/2026', '25/12/2026'], '2026-04-03'],
    [['04/03/2026', '12/25/2026'], '2026-04-03'],
    [['2026/4/3'], '2026-04-03'],
    [['3 April 2026'], '2026-04-03'],
    [['April 3, 2026'], '2026-04-03'],
    [['3. März 2026'], '2026-03-03'],
    [['3 avril 26'], '2026-04-03'],
    [['04/04/2026'], '2026-04-04'],
  ])('%j', (texts, day) => {
    expect(valuesOf('lots', 'Bought', texts)[0]).toBe(day);
  });

  it('that may be two are asked about, and taken as they are said to be', () => {
    const { cells, doubts } = columnOf('lots', 'Bought', ['03/04/2026', '05/06/2026']);
    expect(cells[0]).toMatchObject({ state: 'error', says: expect.stringMatching(/two days/) });
    expect(doubts).toEqual(['days']);
    const as = (days: 'dmy' | 'mdy') =>
      valuesOf('lots', 'Bought', ['03/04/2026'], { numbers: null, days })[0];
    expect(as('dmy')).toBe('2026-04-03');
    expect(as('mdy')).toBe('2026-03-04');
  });
});

describe('a cell of a table', () => {
  it.each([
    ['protein_pct', '46', 0.46],
    ['Crude protein', '46 %', 0.46],
    ['fat', '61 g/kg', 0.061],
    ['Oils and fats', '5,2', 0.052],
    ['unit_g', '55 mg', 0.055],
    ['One weighs', '0.002 oz', 0.05669904625],
    ['keeps_opened_days', '14', 14],
    ['form', 'floats', 'floats'],
    ['sign', 'leaf', 'leaf'],
    ['taken_down', 'no', false],
  ])('of foods, under «%s», «%s» is %s', (header, text, value) => {
    const { cell } = one('foods', header, text);
    expect(cell.state).toBe('read');
    if (typeof value === 'number') expect(cell.value).toBeCloseTo(value, 9);
    else expect(cell.value).toBe(value);
  });

  it('of foods holds lists and steps, and goes back as it came', () => {
    const steps = one('foods', 'preparation', 'soak 120/1 | crumble 1/1/0.5').cell;
    expect(steps.value).toEqual([
      { kind: 'soak', leadMin: 120, workMin: 1, toMm: null },
      { kind: 'crumble', leadMin: 1, workMin: 1, toMm: 0.5 },
    ]);
    const cautions = one('foods', 'cautions_people', 'dust |  insect meal | ').cell;
    expect(cautions.value).toEqual(['dust', 'insect meal']);
    const [header, line] = writeSheet('foods', [
      { name: 'x', steps: steps.value, cautionsPeople: cautions.value, protein: 0.1 + 0.2 },
    ]);
    const cell = (name: string) => line?.[header?.indexOf(name) ?? -1];
    expect(cell('preparation')).toBe('soak 120/1 | crumble 1/1/0.5');
    expect(cell('cautions_people')).toBe('dust | insect meal');
    expect(cell('protein_pct')).toBe('30');
    expect(cell('fat_pct')).toBe('');
  });

  it.each([
    ['price', '8.90', 890],
    ['Cost', '€ 8,90', 890],
    ['left', '1/2 oz', 14.1747615625],
    ['amount (kg)', '1.5', 1500],
    ['where', 'Freezer', 'freezer'],
    ['Use by', '2026-12-01', '2026-12-01'],
  ])('of lots, under «%s», «%s» is %s', (header, text, value) => {
    const { cell } = one('lots', header, text);
    expect(cell.state).toBe('read');
    if (typeof value === 'number') expect(cell.value).toBeCloseTo(value, 9);
    else expect(cell.value).toBe(value);
  });

  it.each([
    ['foods', 'protein', 'a lot', /not a share such as 46 %/],
    ['foods', 'fat', '5 mg', /not a share/],
    ['foods', 'preparation', 'soak', /such as soak 120\/1/],
    ['lots', 'price', 'cheap', /not a price such as 8.90/],
    ['lots', 'amount', '3 tubs', /«tubs» is not known/],
    ['lots', 'place', 'attic', /write one of: cupboard, freezer/],
  ] as const)('of %s, under «%s», «%s» is a fault', (table, header, text, says) => {
    const { cell } = one(table, header, text);
    expect(cell.state).toBe('error');
    expect(cell.says).toMatch(says);
  });

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
    ['lights on', '12 am', 0],
    ['lights on', '12:15 pm', 735],
    ['lights off', '23:59', 1439],
    ['put_away', 'N', false],
    ['archived', '0', false],
    ['pH', '6,8', 6.8],
    ['hardness', '7', 7],
    ['hardness', '89.24 ppm', 5],
    ['gallons', '15', 56.78117676],
    ['water (l)', '15', 15],
    ['lid', 'TIGHT', 'tight'],
  ])('under «%s», «%s» is %s', (header, text, value) => {
    const { cell } = one('tanks', header, text);
    expect(cell.state).toBe('read');
    if (typeof value === 'number') expect(cell.value).toBeCloseTo(value, 9);
    else expect(cell.value).toBe(value);
  });

  it.each([
    ['kind', 'quar', 'quarantine', /taken as «quarantine»/],
    ['plants', 'many, floating', 'many', /taken as «many»/],
    ['order', 'about 3', 3, /taken as 3; count them when you can/],
    ['order', '~12', 12, /taken as 12/],
  ])('under «%s», «%s» is guessed as %s, and says so', (header, text, value, says) => {
    expect(one('tanks', header, text).cell).toMatchObject({ state: 'guessed', value });
    expect(one('tanks', header, text).cell.says).toMatch(says);
  });

  it.each([
    ['tanks', 'kind', 'castle', /write one of: display, breeding/],
    ['tanks', 'length', 'long', /not a number/],
    ['tanks', 'light_on', '25:00', /not a time/],
    ['tanks', 'light_on', '0:30 am', /not a time/],
    ['tanks', 'light_on', '13:00 pm', /not a time/],
    ['tanks', 'light_on', '7:60', /not a time/],
    ['tanks', 'ph', 'acid', /«acid» is not a number/],
    ['tanks', 'gh', '5 furlongs', /furlongs/],
    ['tanks', 'order', '1234567', /not a whole number/],
    ['house', 'size', 'wide x 30 x 30', /not a number/],
    ['house', 'species', 'Draco fictus', /no species is called «Draco fictus»/],
    ['tanks', 'put_away', 'perhaps', /yes or no/],
    ['house', 'number', '3.5', /not a whole number/],
    ['house', 'size', '60 x 30', /length × width × height/],
    ['house', 'since', '3/4/2026', /may be two days/],
  ] as const)('in %s under «%s», «%s» is asked about', (table, header, text, says) => {
    expect(one(table, header, text).cell).toMatchObject({ state: 'error', value: null });
    expect(one(table, header, text).cell.says).toMatch(says);
  });

  it('that is empty is blank, and is nobody’s fault', () => {
    expect(one('house', 'stage', '  ').cell).toEqual({ value: null, state: 'blank', says: null });
  });

  it('under a header that nobody knows is left out, whatever it holds', () => {
    const { cell, column } = one('tanks', 'mood', 'cheerful');
    expect(cell.state).toBe('left out');
    expect(column).toEqual({ header: 'mood', field: null, title: null });
  });

  it.each([
    ['80 × 35 × 40 cm', [80, 35, 40]],
    ['24x12x16 in', [60.96, 30.48, 40.64]],
    ['24x12x16', [60.96, 30.48, 40.64]],
    ['2 ft * 1 ft * 15 in', [60.96, 30.48, 38.1]],
    ['600 X 300 X 360 mm', [60, 30, 36]],
  ])('of three lengths, «%s», is %s cm', (text, cm) => {
    const { cell } = one('house', 'dimensions', text);
    expect(cell.state).toBe('read');
    (cell.value as number[]).forEach((length, at) => expect(length).toBeCloseTo(cm[at]!, 9));
  });

  it('that names a species says which; a name that is nearly right is a guess', () => {
    expect(one('house', 'species', 'Danio rerio').cell).toMatchObject({
      state: 'read',
      value: 'danio-rerio',
      says: `taken as ${reader.commonName('danio-rerio')}`,
    });
    expect(one('house', 'species', 'danio rerioo').cell).toMatchObject({
      state: 'guessed',
      value: 'danio-rerio',
    });
  });

  it('says «today» for the reader’s day', () => {
    expect(one('house', 'arrived on', 'Today').cell.value).toBe('2026-03-10');
    expect(one('house', 'arrived on', '2026-02-28').cell.value).toBe('2026-02-28');
    expect(one('house', 'arrived on', '2026-02-30').cell.state).toBe('error');
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

  it('of a house needs no header: its columns then stand in their usual order', () => {
    const { lines, columns } = readSheet(
      'house',
      [
        ['Rill', 'zebrafish', '8', '3 cm', 'adult', 'loud'],
        ['Rill', 'zebrafish', '2', '', '', ''],
      ],
      reader,
    );
    expect(lines.map((line) => [line.line, line.values.tank, line.values.unsexed])).toEqual([
      [1, 'Rill', 8],
      [2, 'Rill', 2],
    ]);
    expect(columns.at(-1)).toMatchObject({ header: 'column 6', field: null });
    expect(lines[0]?.values).toMatchObject({ lengthCm: 3, stage: 'adult' });
  });

  it('reads a short line as blank to its end, and passes over what hangs out of the table', () => {
    const { lines } = readSheet('tanks', [['name', 'ph'], ['A'], ['B', '7', 'spilt']], reader);
    expect(lines.map((line) => line.cells.map((cell) => cell.state))).toEqual([
      ['read', 'blank'],
      ['read', 'read'],
    ]);
  });

  it('that is empty has no lines, with a header or without', () => {
    for (const rows of [[], [['tank', 'species']], [['']]]) {
      expect(readSheet('house', rows, reader).lines).toEqual([]);
    }
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
    expect(columns.map((column) => column.field)).toEqual(['name', null, null]);
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
  const error = (over: Partial<z.input<typeof tankCreate>>) => tankError({ ...tank, ...over });

  it('holds what fits into it, and not more', () => {
    expect(error({})).toBeNull();
    expect(error({ litres: 54 })).toBeNull();
    expect(error({ litres: 55 })).toMatchObject({ path: 'litres', message: /holds 54 litres/ });
    expect(error({ waterLevelCm: 31 })?.path).toBe('waterLevelCm');
    expect(error({ groundDepthCm: 27, ground: 'sand' })?.path).toBe('groundDepthCm');
    expect(error({ lengthCm: null })?.path).toBe('litres');
    expect(error({ lengthCm: null, litres: 500 })).toBeNull();
  });
});
