import MiniSearch from 'minisearch';
import type { Species } from './defaults';

type SpeciesRow = Pick<Species, 'key' | 'common' | 'otherNames' | 'scientific' | 'family'>;
/** What is searched: a row with its name, its other names and what else helps to find it. */
interface Row {
  key: string;
  common: string;
  otherNames: readonly string[];
  scientific: string;
  family: string;
}

/** Letters without their accents, in lower case. */
const plain = (word: string) => word.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();

/**
 * How many wrong letters are forgiven; two that changed places count as two. In a number, such as L144,
 * a wrong digit names another fish.
 */
const forgiven = (term: string) =>
  term.length < 4 || /\d/.test(term) ? false : term.length < 5 ? 1 : 2;

function indexOf(rows: readonly Row[]): MiniSearch<Row> {
  const index = new MiniSearch<Row>({
    idField: 'key',
    fields: ['common', 'otherNames', 'scientific', 'family'],
    extractField: (row, field) => {
      const value = row[field as keyof Row];
      return typeof value === 'string' ? value : value.join(' ');
    },
    processTerm: plain,
    searchOptions: {
      prefix: (term) => term.length > 1,
      fuzzy: forgiven,
      combineWith: 'AND',
      boost: { common: 3, otherNames: 2, scientific: 2 },
      weights: { fuzzy: 0.2, prefix: 0.6 },
    },
  });
  index.addAll([...rows]);
  return index;
}

/**
 * Search among species by common, trade and scientific names and by family.
 * @returns a function from what was typed to keys, the best first; all in order where nothing was
 */
export const speciesSearch = (rows: readonly SpeciesRow[]): ((words: string) => string[]) =>
  search(rows);

function search(rows: readonly Row[]): (words: string) => string[] {
  const index = indexOf(rows);
  const all = [...rows].sort((a, b) => (a.common < b.common ? -1 : 1)).map((row) => row.key);
  return (words) => {
    if (words.trim() === '') return all;
    const strict = index.search(words);
    const found = strict.length > 0 ? strict : index.search(words, { combineWith: 'OR' });
    return found.map((one) => String(one.id));
  };
}

interface PlainRow {
  key: string;
  name: string;
  otherNames: readonly string[];
  kind?: string;
}

/**
 * Search among foods or cultures by what people call them, as forgiving as among species.
 * @returns a function from what was typed to keys, the best first; all in order where nothing was
 */
export const nameSearch = (rows: readonly PlainRow[]): ((words: string) => string[]) =>
  search(rows.map(plainRow));

const plainRow = ({ key, name, otherNames, kind = '' }: PlainRow): Row => ({
  key,
  common: name,
  otherNames,
  scientific: '',
  family: kind,
});

/** How sure a name is: the same but for case and accents, or only near it. */
export type NameMatch = { key: string; exact: boolean } | null;

/** The species that a name means, for tables that people typed; null where nothing is near. */
export const speciesNamed = (rows: readonly SpeciesRow[]): ((name: string) => NameMatch) =>
  named(rows, forgiven);

/** The food or culture that a name means; null where nothing is near. */
export const foodNamed = (rows: readonly PlainRow[]): ((name: string) => NameMatch) =>
  named(rows.map(plainRow), nearly);

/** Among foods, whose names are everyday words, a short word forgives less: «blorp» is no block. */
const nearly = (term: string) => Math.min(Number(forgiven(term)), term.length < 8 ? 1 : 2);

function named(
  rows: readonly Row[],
  fuzzy: (term: string) => number | boolean,
): (name: string) => NameMatch {
  const exact = new Map<string, string>();
  for (const row of rows) {
    for (const name of [row.key, row.scientific, row.common, ...row.otherNames]) {
      if (!exact.has(plain(name))) exact.set(plain(name), row.key);
    }
  }
  const index = indexOf(rows);
  return (name) => {
    const wanted = plain(name.trim());
    if (wanted === '') return null;
    // «Kuhli loaches» are kuhli loach.
    const known = exact.get(wanted) ?? exact.get(singular(wanted));
    if (known !== undefined) return { key: known, exact: true };
    // Every word must be near: a table is no place for the best of bad guesses.
    const [near] = index.search(singular(wanted), { fuzzy });
    return near === undefined ? null : { key: String(near.id), exact: false };
  };
}

const singular = (name: string) =>
  name
    .replace(/(ch|sh|x|s)es$/, '$1')
    .replace(/ies$/, 'y')
    .replace(/([^s])s$/, '$1');
