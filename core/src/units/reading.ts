import { scaleOf, UNITS_READ, type Measure, type UnitChoice } from './measures';

/** What is wrong with what was typed. */
export type ReadError =
  /** No number at all, more than one meaning, or a range where one number is meant. */
  { is: 'notANumber' | 'unclear' | 'range' } | { is: 'unknownUnit'; unit: string };

/** What was typed, as a base value, or what is wrong with it. */
export type Parsed = { base: number; fault?: undefined } | { base?: undefined; fault: ReadError };

const FRACTIONS: Record<string, string> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅓': '1/3',
  '⅔': '2/3',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

/** «1 1/2», «3/4», «1.5», «1,5», «-2»; thousands are already joined. */
const NUMBER = String.raw`[-+]?(?:\d+\s+\d+/\d+|\d+/\d+|\d+(?:[.,]\d+)?|[.,]\d+)`;
/** A number and the unit behind it; a foot and its inches are two such parts. */
const PART = new RegExp(String.raw`^\s*(${NUMBER})\s*([^\d\s.,+-][^\d.,+-]*)?`, 'iu');
const MAX_PARTS = 2;

/**
 * Read a quantity as a keeper types it, with or without its unit: «1 1/2 in», «20 gal», «78F»,
 * «6 dGH», «5 ft 3 in», «24,5». A number without a unit is in the keeper's own.
 * @param text    what was typed, not empty
 * @param choice  the keeper's units
 * @param also    other names that may stay in behind the number, with the base of one: «48 cubes»
 * @returns the value in the base unit of the measure, or what is wrong with it
 */
export function parseMeasure(
  text: string,
  measure: Measure,
  choice: UnitChoice,
  also: Readonly<Record<string, number>> = {},
): Parsed {
  let rest = plain(text);
  if (isRange(rest)) return faulty('range');
  let base = 0;
  for (let part = 0; part < MAX_PARTS && rest !== ''; part += 1) {
    const found = PART.exec(rest);
    if (!found) return faulty('notANumber');
    const number = readNumber(found[1] as string);
    const unit = (found[2] ?? '').trim();
    if (part > 0 && (unit === '' || measure === 'temperature')) return faulty('unclear');
    const own = also[unit.toLowerCase()];
    const value = own === undefined ? toBase(number, unit, measure, choice) : number * own;
    if (value === null) return { fault: { is: 'unknownUnit', unit } };
    base += value;
    rest = rest.slice(found[0].length).trim();
  }
  return rest === '' && Number.isFinite(base) ? { base } : faulty('unclear');
}

/** «<5», «‹5», «~60», «ca. 60»: the bound or the rough figure is what there is. */
const ABOUT = /^(?:[<>‹›≤≥~≈∼]|ca\.?(?=\s)|approx\.?(?=\s)|about(?=\s))\s*/i;

/** A number alone, as people of many countries write it, or what is wrong with it. */
export function parseNumber(text: string): Parsed {
  const bare = plain(text);
  if (isRange(bare)) return faulty('range');
  const found = new RegExp(`^${NUMBER}$`).exec(bare);
  const base = found ? readNumber(bare) : Number.NaN;
  return Number.isFinite(base) ? { base } : faulty('notANumber');
}

function plain(text: string): string {
  const spelled = text.replace(/[½¼¾⅓⅔⅛⅜⅝⅞]/g, (sign) => ` ${FRACTIONS[sign]}`);
  const signed = spelled
    .replace(/\u2212/g, '-')
    .replace(/\s+/g, ' ')
    .trim()
    .replace(ABOUT, '')
    // Hardness is reported as chalk: the name of what is reported adds nothing.
    .replace(/\s*\bcaco[3₃]/i, '');
  return joined(signed);
}

/**
 * Thousands written apart are joined: «1 200», «1’200», «1,200», «1.200,5», «1,200.5». A comma before
 * three digits parts thousands unless the number begins with nothing; a point there is a decimal point.
 */
function joined(text: string): string {
  const digits = text.replace(
    /(^|[^\d.,])(\d{1,3})((?:[ ’'](?=\d{3}(?!\d)(?!\/))\d{3})+)/g,
    (_, before, head, rest) => `${before}${head}${(rest as string).replace(/[ ’']/g, '')}`,
  );
  return digits.replace(/\d[\d.,]*\d/g, (number) => {
    if (/^\d{1,3}(\.\d{3})+,\d+$/.test(number)) return number.replace(/\./g, '').replace(',', '.');
    if (/^\d{1,3}(\.\d{3}){2,}$/.test(number)) return number.replace(/\./g, '');
    if (/^[1-9]\d{0,2}(,\d{3})+(\.\d+)?$/.test(number)) return number.replace(/,/g, '');
    return number;
  });
}

/** «25–30», «25-30 mm», «25 to 30». */
const isRange = (text: string) =>
  /^\d[\d.,]*\s*(?:\p{L}|[°"″'′%])*\s*(?:[–—-]|to\b|bis\b)\s*\d/u.test(text);
const faulty = (is: 'notANumber' | 'unclear' | 'range'): Parsed => ({ fault: { is } });

function readNumber(text: string): number {
  const sign = text.startsWith('-') ? -1 : 1;
  const bare = text.replace(/^[-+]/, '');
  const whole = bare.split(' ').reduce((sum, piece) => {
    const [above, below] = piece.split('/');
    return (
      sum + (below === undefined ? Number(piece.replace(',', '.')) : Number(above) / Number(below))
    );
  }, 0);
  return sign * whole;
}

function toBase(number: number, unit: string, measure: Measure, choice: UnitChoice): number | null {
  if (unit === '') return scaleOf(choice, measure).toBase(number);
  const named = unit.toLowerCase().replace(/\s+/g, ' ').replace(/\.$/, '');
  if (measure !== 'temperature') {
    const factor = UNITS_READ[measure][named];
    return factor === undefined ? null : number * factor;
  }
  const degree = named.replace(/^(°|deg(rees)?)\s*/, '');
  if (degree === 'c' || degree === 'celsius') return number;
  if (degree === 'f' || degree === 'fahrenheit') return ((number - 32) * 5) / 9;
  if (degree === '') return scaleOf(choice, measure).toBase(number);
  return null;
}
