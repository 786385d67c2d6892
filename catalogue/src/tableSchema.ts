/** The part of a Frictionless Table Schema that the catalogue uses: https://specs.frictionlessdata.io */
export interface TableSchema {
  fields: {
    name: string;
    title: string;
    type: 'string' | 'number' | 'integer' | 'boolean' | 'array' | 'object';
    unit?: string;
    description?: string;
    constraints?: { required?: boolean; minimum?: number; maximum?: number; enum?: string[] };
  }[];
  primaryKey: string;
  missingValues: string[];
}

/** Where a header and a Table Schema disagree, in words. */
export function checkAgainst(schema: TableSchema, header: readonly string[]): string[] {
  const named = schema.fields.map((field) => field.name);
  return [
    ...header
      .filter((name) => !named.includes(name))
      .map((name) => `column ${name} is not in the schema`),
    ...named.filter((name) => !header.includes(name)).map((name) => `column ${name} is missing`),
  ];
}

const BOOLEANS: Record<string, boolean> = { yes: true, no: false };

/**
 * How the cells of a line become values: a blank is null (an empty list for lists), lists are
 * divided by «|», shares by name are written «surface 60 mid 25», in per cent.
 * What cannot be read stays text, so that validation names it.
 */
export function cellReader(schema: TableSchema) {
  const types = new Map(schema.fields.map((field) => [field.name, field.type]));
  return (cells: Record<string, string>): Record<string, unknown> =>
    Object.fromEntries(
      Object.entries(cells).map(([name, cell]) => [name, readCell(cell, types.get(name))]),
    );
}

function readCell(cell: string, type: TableSchema['fields'][number]['type'] | undefined): unknown {
  const text = cell.trim();
  if (type === 'array') return text === '' ? [] : text.split('|');
  if (text === '') return null;
  if (type === 'number' || type === 'integer')
    return Number.isNaN(Number(text)) ? text : Number(text);
  if (type === 'boolean') return BOOLEANS[text] ?? text;
  if (type === 'object') return readShares(text);
  return text;
}

function readShares(text: string): unknown {
  const zones: Record<string, number> = { surface: 0, mid: 0, bottom: 0, film: 0 };
  const shares: Record<string, number> = /day|dusk|night/.test(text) ? {} : zones;
  const parts = text.split(/\s+/);
  for (let at = 0; at < parts.length; at += 2) {
    shares[parts[at] as string] = Number(parts[at + 1]) / 100;
  }
  return shares;
}
