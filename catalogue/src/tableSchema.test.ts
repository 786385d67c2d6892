import { cellReader, checkAgainst, type TableSchema } from './tableSchema';

const schema: TableSchema = {
  primaryKey: 'key',
  missingValues: [''],
  fields: [
    { name: 'key', title: 'Key', type: 'string' },
    { name: 'length', title: 'Length', type: 'number' },
    { name: 'group', title: 'Group', type: 'integer' },
    { name: 'nips', title: 'Nips', type: 'boolean' },
    { name: 'names', title: 'Names', type: 'array' },
    { name: 'zones', title: 'Zones', type: 'object' },
  ],
};
const read = (cells: Record<string, string>) => cellReader(schema)(cells);

describe('a header against its schema', () => {
  it('fits, whatever the order', () => {
    const names = schema.fields.map((field) => field.name);
    expect(checkAgainst(schema, names)).toEqual([]);
    expect(checkAgainst(schema, [...names].reverse())).toEqual([]);
  });

  it('is told what is missing and what is too much', () => {
    expect(checkAgainst(schema, ['key', 'length', 'group', 'nips', 'names', 'colour'])).toEqual([
      'column colour is not in the schema',
      'column zones is missing',
    ]);
  });
});

describe('a cell', () => {
  it('is a value of its type', () => {
    expect(
      read({
        key: ' a ',
        length: '2.5',
        group: '7',
        nips: 'yes',
        names: 'x|y',
        zones: 'mid 60 bottom 40',
      }),
    ).toEqual({
      key: 'a',
      length: 2.5,
      group: 7,
      nips: true,
      names: ['x', 'y'],
      zones: { surface: 0, mid: 0.6, bottom: 0.4, film: 0 },
    });
  });

  it('that is blank is nothing, and an empty list where it is a list', () => {
    expect(read({ length: '', nips: ' ', names: '', zones: '' })).toEqual({
      length: null,
      nips: null,
      names: [],
      zones: null,
    });
  });

  it('that cannot be read stays text, so that the check can name it', () => {
    expect(read({ length: 'long', nips: 'perhaps' })).toEqual({ length: 'long', nips: 'perhaps' });
  });

  it('by light is read as shares of light', () => {
    expect(read({ zones: 'day 30 dusk 100 night 60' })).toEqual({
      zones: { day: 0.3, dusk: 1, night: 0.6 },
    });
  });
});
