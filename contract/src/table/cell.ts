import { type Measure, type UnitChoice } from '@open-larder/core/units';
import { readMeasure } from '@open-larder/say';
import type { Reading } from '@open-larder/core/water/range';
import { READING_UNITS, toReading } from '@open-larder/core/water/reading';
import { writtenStep, type PreparationStep } from '@open-larder/catalogue/preparation';
import type { NameMatch } from '@open-larder/catalogue/search';
import { day as daySchema } from '../basics';
import type { CellState } from './schemas';

/** What a cell was understood as. */
export interface Cell<T = unknown> {
  value: T | null;
  state: CellState;
  says: string | null;
}

/** What reading a table may lean on. */
export interface Reader {
  choice: UnitChoice;
  today: string;
  speciesNamed: (name: string) => NameMatch;
  /** The common name behind a key, to say how a name was understood. */
  commonName: (key: string) => string;
}

/** @param unit the unit that the header names, for numbers that name none */
export type CellRead<T> = (text: string, reader: Reader, unit: string | null) => Cell<T>;

const read = <T>(value: T): Cell<T> => ({ value, state: 'read', says: null });
const error = (says: string): Cell<never> => ({ value: null, state: 'error', says });
const guessed = <T>(value: T, says: string): Cell<T> => ({ value, state: 'guessed', says });
export const blank: Cell<never> = { value: null, state: 'blank', says: null };

/** Readers of numbers and of days, whose cells are written plainly first: see `writing`. */
const ofNumbers = new Set<unknown>();
const ofWholes = new Set<unknown>();
const withNumbers = <R>(read: R): R => {
  ofNumbers.add(read);
  return read;
};
export const readsNumbers = (read: unknown): boolean => ofNumbers.has(read);
/** Of whole things alone: what stands before three digits parts thousands. */
export const readsWholes = (read: unknown): boolean => ofWholes.has(read);

export const words: CellRead<string> = (text) => read(text);

export const measure = (of: Measure): CellRead<number> =>
  withNumbers((text, { choice }, unit) => {
    const bare = /^[\d\s.,/½¼¾⅓⅔⅛⅜⅝⅞+−-]+$/u.test(text);
    const seen = readMeasure(bare && unit !== null ? `${text} ${unit}` : text, of, choice);
    return seen.error === undefined ? read(seen.base) : error(seen.error);
  });

export const number: CellRead<number> = withNumbers((text) => {
  const value = Number(text.replace(',', '.'));
  return Number.isFinite(value) ? read(value) : error(`«${text}» is not a number`);
});

/** A reading of a water test: «18», «4.1 NO3-N»; a number alone is in the unit of the header. */
export const reading = (of: Reading): CellRead<number> =>
  withNumbers((text, _, unit) => {
    const [, digits, own] = /^<?\s*([\d.,]+)\s*(.*)$/.exec(text) ?? [];
    const value = Number((digits ?? 'x').replace(',', '.'));
    if (!Number.isFinite(value)) return error(`«${text}» is not a reading such as 18`);
    const [usual, first] = Object.entries(READING_UNITS[of])[0]!;
    const named = own || unit || '';
    if (named === '' && of !== 'ph') {
      const base = Math.round(first.toBase(value) * 1e6) / 1e6;
      return guessed(
        base,
        `taken as ${first.says}; say so in the header, such as «${of} (${usual})»`,
      );
    }
    const base = toReading(of, value, named);
    const known = Object.values(READING_UNITS[of]).map(({ says }) => says);
    return base === null
      ? error(`«${named}» is not known here; ${known.join(', ')} are`)
      : read(Math.round(base * 1e6) / 1e6);
  });

/** A share of mass: «46», «46 %», «460 g/kg». */
export const share: CellRead<number> = withNumbers((text) => {
  const [, digits, unit] = /^([\d.,]+)\s*(%|g\s*\/\s*kg)?$/i.exec(text) ?? [];
  const value = Number((digits ?? '').replace(',', '.'));
  if (digits === undefined || !Number.isFinite(value))
    return error(`«${text}» is not a share such as 46 % or 460 g/kg`);
  return read(value / (unit && unit !== '%' ? 1000 : 100));
});

/** Two shares, least and most: «45 to 70 %», «45-70». */
export const shares: CellRead<[number, number]> = withNumbers((text) => {
  const [, low, high] = /^([\d.,]+)\s*%?\s*(?:-|–|to)\s*([\d.,]+)\s*%?$/i.exec(text) ?? [];
  const ends = [low, high].map((end) => Number((end ?? 'x').replace(',', '.')) / 100);
  return ends.every(Number.isFinite)
    ? read(ends as [number, number])
    : error(`«${text}» is not a span such as 45 to 70 %`);
});

/** Money in whole units, such as 8.90: stored in the smallest. */
export const money: CellRead<number> = withNumbers((text) => {
  const value = Number(text.replace(/[^\d.,-]/g, '').replace(',', '.'));
  return /\d/.test(text) && Number.isFinite(value)
    ? read(Math.round(value * 100))
    : error(`«${text}» is not a price such as 8.90`);
});

/** Several numbers with «|», «;» or spaces between. */
export const numbers: CellRead<number[]> = withNumbers((text) => {
  const seen = text
    .split(/[|;\s]+/)
    .filter(Boolean)
    .map((one) => Number(one.replace(',', '.')));
  return seen.every(Number.isFinite)
    ? read(seen)
    : error(`«${text}» is not a row of numbers such as 2.1 | 2.4`);
});

/** Several phrases with «|» between. */
export const list: CellRead<string[]> = (text) =>
  read(
    text
      .split('|')
      .map((one) => one.trim())
      .filter(Boolean),
  );

/** «soak 120/1 | thaw 15/1»: preparation, with minutes ahead and of work. */
export const steps: CellRead<PreparationStep[]> = (text) => {
  const seen = text.split('|').map((one) => writtenStep.safeParse(one));
  const wrong = seen.find((one) => !one.success);
  return wrong
    ? error(wrong.error?.issues[0]?.message ?? '')
    : read(seen.map((one) => one.data as PreparationStep));
};

export const whole: CellRead<number> = withNumbers((text) => {
  const about = /^(about|ca\.?|~|c\.)\s*(\d+)$/i.exec(text);
  if (about) return guessed(Number(about[2]), `taken as ${about[2]}; count them when you can`);
  return /^\d{1,6}$/.test(text)
    ? read(Number(text))
    : error(`«${text}» is not a whole number of fish`);
});
ofWholes.add(whole);

export const yesNo: CellRead<boolean> = (text) => {
  if (/^(yes|y|true|1)$/i.test(text)) return read(true);
  if (/^(no|n|false|0)$/i.test(text)) return read(false);
  return error(`write yes or no in place of «${text}»`);
};

/** A word of a list; the beginning of exactly one of them is taken as that one. */
export const oneOf =
  <W extends string>(list: readonly W[]): CellRead<W> =>
  (text) => {
    const wanted = text.toLowerCase();
    const same = list.find((word) => word.toLowerCase() === wanted);
    if (same !== undefined) return read(same);
    const near = list.filter((word) => word.startsWith(wanted) || wanted.startsWith(word));
    if (near.length === 1) return guessed(near[0] as W, `taken as «${near[0]}»`);
    return error(`write one of: ${list.join(', ')}`);
  };

export const date: CellRead<string> = (text, { today }) => {
  if (text.toLowerCase() === 'today') return read(today);
  const seen = daySchema.safeParse(text);
  return seen.success ? read(seen.data) : error(`${seen.error.issues[0]?.message}`);
};

/** Minutes after midnight, from «7:30» or «7:30 pm». */
export const clock: CellRead<number> = (text) => {
  const seen = /^(\d{1,2})(?::(\d{2}))?\s*(am|pm)?$/i.exec(text);
  const hour = Number(seen?.[1]);
  const minute = Number(seen?.[2] ?? 0);
  const half = seen?.[3]?.toLowerCase();
  if (!seen || minute > 59 || hour > (half ? 12 : 23) || (half && hour === 0)) {
    return error(`«${text}» is not a time such as 7:30`);
  }
  return read((half ? (hour % 12) + (half === 'pm' ? 12 : 0) : hour) * 60 + minute);
};

export const species: CellRead<string> = (text, { speciesNamed, commonName }) => {
  const match = speciesNamed(text);
  if (match === null)
    return error(
      `no species is called «${text}»; make one of your own, or write its scientific name`,
    );
  const says = `taken as ${commonName(match.key)}`;
  return match.exact ? { ...read(match.key), says } : guessed(match.key, says);
};

/** «80 × 35 × 40 cm» or «24x12x16 in»: three lengths with one unit, or each with its own. */
export const threeLengths: CellRead<[number, number, number]> = withNumbers(
  (text, reader, unit) => {
    const parts = text.split(/\s*[x×*]\s*/i);
    if (parts.length !== 3) return error(`write length × width × height in place of «${text}»`);
    const last = /[^\d.,/\s½¼¾]+\s*$/u.exec(parts[2] as string)?.[0].trim() ?? unit;
    const seen = parts.map((part) => measure('length')(part, reader, last));
    const wrong = seen.find((cell) => cell.state === 'error');
    return wrong
      ? error(wrong.says as string)
      : read(seen.map((cell) => cell.value) as [number, number, number]);
  },
);
