/** Which sign stands before the decimals. */
export type Decimal = 'point' | 'comma';
/** In which order a day is written. */
export type DayOrder = 'dmy' | 'mdy' | 'ymd';

/** A number with its separators, as people of all countries write it: «1 200», «1.200,5», «1’000». */
const NUMBER = /\d{1,3}(?:[ \u00a0\u202f'’]\d{3})+(?:[.,]\d+)?|\d+(?:[.,]\d+)*/g;
const GROUPED = /[ \u00a0\u202f'’]/;

/** What one number says of its decimal sign; null where it has none, and it may be either. */
function saidBy(token: string): Decimal | 'either' | null {
  const signs = token.replace(/[^.,]/g, '');
  if (signs === '') return null;
  const last = signs.at(-1) === '.' ? 'point' : 'comma';
  const other = last === 'point' ? 'comma' : 'point';
  if (GROUPED.test(token) || new Set(signs).size > 1) return last;
  if (signs.length > 1) return other;
  return /^[1-9]\d{0,2}[.,]\d{3}$/.test(token) ? 'either' : last;
}

/** A number without its groups, with a point before its decimals. */
function plainly(token: string, decimal: Decimal): string {
  const ungrouped = token.replace(/[ \u00a0\u202f'’]/g, '');
  return decimal === 'point'
    ? ungrouped.replaceAll(',', '')
    : ungrouped.replaceAll('.', '').replace(',', '.');
}

/** How the numbers of a column are written, from all of its cells. */
export interface ColumnNumbers {
  decimal: Decimal | null;
  /** Its cells contradict each other. */
  mixed: boolean;
}

export function numbersOf(texts: readonly string[]): ColumnNumbers {
  const said = new Set(texts.flatMap((text) => (text.match(NUMBER) ?? []).map(saidBy)));
  const [point, comma] = [said.has('point'), said.has('comma')];
  if (point && comma) return { decimal: null, mixed: true };
  return { decimal: point ? 'point' : comma ? 'comma' : null, mixed: false };
}

/** A cell with its numbers written plainly. */
export interface Plain {
  text: string;
  /** Numbers that could be read either way: decided by the others, or in doubt. */
  either: boolean;
  inDoubt: boolean;
}

/**
 * Write the numbers of a cell plainly.
 * @param column  how its column is written
 * @param settled what decides where a number and its column leave it open; null is nobody
 */
export function plainNumbers(
  text: string,
  { decimal }: ColumnNumbers,
  settled: Decimal | null,
): Plain {
  let either = false;
  let inDoubt = false;
  const plain = text.replace(NUMBER, (token) => {
    const said = saidBy(token);
    if (said !== 'either') return plainly(token, said ?? 'point');
    either = true;
    const by = decimal ?? settled;
    inDoubt ||= by === null;
    return by === null ? token : plainly(token, by);
  });
  return { text: plain, either, inDoubt };
}

const DAY = /^(\d{1,4})\s*([./-])\s*(\d{1,2})\s*\2\s*(\d{1,4})\.?$/;
const MONTHS = [
  ['jan', 'januar', 'janvier', 'enero', 'gennaio', 'januari'],
  ['feb', 'februar', 'février', 'febrero', 'febbraio', 'februari'],
  ['mar', 'märz', 'mars', 'marzo', 'maart'],
  ['apr', 'april', 'avril', 'abril', 'aprile'],
  ['may', 'mai', 'mayo', 'maggio', 'mei'],
  ['jun', 'juni', 'juin', 'junio', 'giugno'],
  ['jul', 'juli', 'juillet', 'julio', 'luglio'],
  ['aug', 'august', 'août', 'agosto', 'augustus'],
  ['sep', 'september', 'septembre', 'septiembre', 'settembre'],
  ['oct', 'okt', 'oktober', 'octobre', 'octubre', 'ottobre'],
  ['nov', 'november', 'novembre', 'noviembre'],
  ['dec', 'dez', 'dezember', 'décembre', 'diciembre', 'dicembre'],
];
const monthOf = (word: string) =>
  MONTHS.findIndex((names) => names.some((name) => word.toLowerCase().startsWith(name))) + 1;
const WORDED = /^(\d{1,2})\.?\s*([\p{L}]+)\.?,?\s*(\d{2,4})$/u;
const WORDED_US = /^([\p{L}]+)\.?\s*(\d{1,2}),?\s*(\d{2,4})$/u;

/** In which order the days of a column are written; null where all of them may be two. */
export function dayOrderOf(texts: readonly string[]): DayOrder | null {
  for (const text of texts) {
    const [, first = '', sign, second] = DAY.exec(text) ?? [];
    if (sign === undefined || first.length === 4) continue;
    // A point between day and month is used where the day comes first.
    if (sign === '.' || Number(first) > 12) return 'dmy';
    if (Number(second) > 12) return 'mdy';
  }
  return null;
}

const iso = (year: string, month: number | string, day: string) =>
  `${year.length === 2 ? `20${year}` : year.padStart(4, '0')}-${String(month).padStart(2, '0')}-${day.padStart(2, '0')}`;

/** A day as YYYY-MM-DD; null where it may be two; the text itself where it is none. */
export function plainDay(text: string, order: DayOrder | null): string | null {
  const worded = WORDED.exec(text);
  if (worded && monthOf(worded[2]!)) return iso(worded[3]!, monthOf(worded[2]!), worded[1]!);
  const american = WORDED_US.exec(text);
  if (american && monthOf(american[1]!)) {
    return iso(american[3]!, monthOf(american[1]!), american[2]!);
  }
  const [, first, , second, third] = DAY.exec(text) ?? [];
  if (first === undefined) return text;
  if (first.length === 4) return iso(first, second!, third!);
  if (first === second) return iso(third!, first, second);
  if (order === null) return null;
  return order === 'mdy' ? iso(third!, first, second!) : iso(third!, second!, first);
}
