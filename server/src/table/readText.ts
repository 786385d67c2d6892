import { speciesNamed } from '@open-larder/catalogue/search';
import type { Species } from '@open-larder/catalogue';
import {
  MAX_LETTERS,
  MAX_COLUMNS,
  MAX_LINES,
  readSheet,
  type TableName,
  type Writing,
} from '@open-larder/contract';
import type { UnitChoice } from '@open-larder/core';
import Papa from 'papaparse';
import type { Said } from './read';

export interface ReadTask {
  table: TableName;
  text: string;
  choice: UnitChoice;
  today: string;
  species: readonly Species[];
  writing: Writing;
}

/** A text as the table that it is; or why it is none, in a sentence. */
export function readText({ table, text, choice, today, species, writing }: ReadTask): Said {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, '').trimEnd());
  if (data.length > MAX_LINES) {
    return { error: `a table has at most ${MAX_LINES} lines; divide it` };
  }
  for (const [at, cells] of data.entries()) {
    if (cells.length > MAX_COLUMNS) {
      return { error: `line ${at + 1} has over ${MAX_COLUMNS} columns; is it a table?` };
    }
    const long = cells.findIndex((cell) => cell.length > MAX_LETTERS);
    if (long >= 0) {
      return {
        error: `a cell of line ${at + 1} has over ${MAX_LETTERS} letters: a quote may be missing there`,
      };
    }
  }
  const rows = data.map((cells) => cells.map((cell) => cell.replace(/^'(?=[=+\-@])/, '')));
  const common = new Map(species.map((row) => [row.key, row.common]));
  const reader = {
    choice,
    today,
    speciesNamed: speciesNamed([...species]),
    commonName: (key: string) => common.get(key) ?? key,
  };
  return { sheet: readSheet(table, rows, reader, writing) };
}
