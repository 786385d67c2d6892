import {
  parseMeasure,
  parseNumber,
  scaleOf,
  type Measure,
  type Parsed,
  type UnitChoice,
} from '@open-larder/core/units';

/** What was typed, as a base value, or what is wrong with it in words. */
export type Typed = { base: number; error?: undefined } | { base?: undefined; error: string };

/**
 * Read a quantity as a keeper types it, with or without its unit: «1 1/2 in», «20 gal», «78F».
 * @param text   what was typed, not empty
 * @param also   other names that may stay in behind the number, with the base of one: «48 cubes»
 * @returns the value in the base unit of the measure, or a sentence that says what to change
 */
export function readMeasure(
  text: string,
  measure: Measure,
  choice: UnitChoice,
  also: Readonly<Record<string, number>> = {},
): Typed {
  const understood = [...Object.keys(also), UNDERSTOOD[measure]].join(', ');
  const such = `; write one such as ${example(measure, choice)}`;
  return worded(text, parseMeasure(text, measure, choice, also), { such, understood });
}

/** A number alone, as people of many countries write it, or what is wrong with it in words. */
export const readNumberAlone = (text: string): Typed =>
  worded(text, parseNumber(text), { such: '', understood: '' });

function worded(text: string, parsed: Parsed, words: { such: string; understood: string }): Typed {
  const { base, fault } = parsed;
  if (fault === undefined) return { base };
  const typed = `«${text.trim()}»`;
  switch (fault.is) {
    case 'notANumber':
      return { error: `${typed} is not a number${words.such}` };
    case 'unclear':
      return { error: `${typed} can be read in more than one way${words.such}` };
    case 'range':
      return { error: `${typed} is a range; write one number, such as its middle` };
    case 'unknownUnit':
      return { error: `«${fault.unit}» is not known here; ${words.understood} are` };
  }
}

const UNDERSTOOD: Record<Measure, string> = {
  length: 'cm, mm, m, in and ft',
  area: 'dm², cm² and in²',
  volume: 'L, ml, fl oz, gal and imp gal',
  temperature: '°C and °F',
  mass: 'g, mg, kg, oz and lb',
  hardness: 'dGH, ppm, mg/L, °fH and °e',
  flow: 'L/h, L/min and gal/h',
};

const EXAMPLES: Record<Measure, number> = {
  length: 12.7,
  area: 2,
  volume: 75.7,
  temperature: 25,
  mass: 28.35,
  hardness: 6,
  flow: 380,
};

function example(measure: Measure, choice: UnitChoice): string {
  const scale = scaleOf(choice, measure);
  return `${Number(scale.fromBase(EXAMPLES[measure]).toFixed(1))} ${scale.unit}`;
}
