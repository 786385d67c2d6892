import type { TankFurnishing, TankKind } from '@open-larder/core/tank';
import { parseMeasure, type UnitChoice } from '@open-larder/core/units';

/** What was said of a tank; what was not said is left out. */
export interface TankFacts extends Partial<
  Pick<TankFurnishing, 'ground' | 'decor' | 'filter' | 'plants' | 'cover' | 'sourceWater'>
> {
  kind?: TankKind;
  litres?: number;
  /** Inside, in cm. */
  lengthCm?: number;
  widthCm?: number;
  heightCm?: number;
  tempC?: number;
  ph?: number;
  /** dGH */
  gh?: number;
  lightOnMin?: number;
  lightOffMin?: number;
  /** No heater: as warm as the room. */
  unheated?: true;
}

type Read = (found: RegExpExecArray, units: UnitChoice) => TankFacts | null;
const NUMBER = String.raw`(\d+(?:[.,]\d+)?)`;
const CLOCK = String.raw`(\d{1,2})(?:[:.](\d{2}))?\s*(am|pm)?`;

const measured =
  (text: string, measure: 'length' | 'volume' | 'temperature' | 'hardness') =>
  (units: UnitChoice): number | null =>
    parseMeasure(text, measure, units).base ?? null;

/** Words that say nothing of themselves: they may stand between facts. */
const FILLER =
  /\b(?:a|an|the|my|one|tank|tanks|aquarium|aquariums|at|in|is|it|of|about|around|roughly|has|on|off|from|kept|setup|set up|water|temperature|temp|footprint)\b/giu;

const SAID: [RegExp, TankFacts][] = [
  [/\b(?:dense(?:ly)?|heav(?:y|ily)|jungle)[\s-]*(?:planted|plants)?\b/iu, { plants: 'dense' }],
  [/\b(?:un|not )planted\b|\bno plants\b|\bplastic plants\b/iu, { plants: 'none' }],
  [/\b(?:few|sparse(?:ly)?|light(?:ly)?|some|a few)[\s-]+plant(?:s|ed)\b/iu, { plants: 'few' }],
  [/\b(?:well[\s-]+|many\s+)?plant(?:s|ed)\b/iu, { plants: 'many' }],
  [
    /\bleaf[\s-]?litter\b|\b(?:oak |almond |beech |dead |dried )?leaves\b/iu,
    { ground: 'leaf litter' },
  ],
  [
    /\bbare(?:[\s-]+(?:bottom|floor|ground|tank))?\b|\bno (?:substrate|ground)\b/iu,
    { ground: 'bare' },
  ],
  [/\b(?:fine |white |dark |pool[\s-]filter )?sand(?:y)?\b/iu, { ground: 'sand' }],
  [/\b(?:fine |coarse )?gravel\b|\bpebbles\b/iu, { ground: 'gravel' }],
  [/\b(?:aqua ?|active )?soil\b/iu, { ground: 'soil' }],
  [/\bsponge(?:[\s-]+filter)?\b/iu, { filter: 'sponge' }],
  [/\b(?:hang[\s-]?on(?:[\s-]?back)?|hob|hanging)(?:[\s-]+filter)?\b/iu, { filter: 'hanging' }],
  [/\b(?:canister|external)(?:[\s-]+filter)?\b/iu, { filter: 'external' }],
  [/\b(?:internal)(?:[\s-]+filter)?\b/iu, { filter: 'internal' }],
  [/\bsump\b/iu, { filter: 'sump' }],
  [/\b(?:no filter|unfiltered|filterless)\b/iu, { filter: 'none' }],
  [/\bopen[\s-]+top\b|\bno lid\b|\brimless\b/iu, { cover: 'open' }],
  [/\b(?:tight )?(?:lid|hood|cover(?:ed)?)\b/iu, { cover: 'tight' }],
  [/\b(?:lots of |much )(?:wood|driftwood|rocks?|stones?)\b|\bhardscape\b/iu, { decor: 'much' }],
  [/\bno (?:wood|decor|decoration|stones?)\b/iu, { decor: 'none' }],
  [/\b(?:drift)?wood\b|\brocks?\b|\bstones?\b|\bcaves?\b/iu, { decor: 'some' }],
  [/\brain ?water\b/iu, { sourceWater: 'rain' }],
  [/\b(?:ro|reverse osmosis)(?: water)?\b/iu, { sourceWater: 'reverse osmosis' }],
  [/\btap(?: water)?\b/iu, { sourceWater: 'tap' }],
  [/\b(?:unheated|no heater|room temperature)\b/iu, { unheated: true }],
  [/\bquarantine\b/iu, { kind: 'quarantine' }],
  [/\b(?:grow[\s-]?out|growing out)\b/iu, { kind: 'grow-out' }],
  [/\bfry (?:tub|tank)\b/iu, { kind: 'fry tub' }],
  [/\bbreeding\b/iu, { kind: 'breeding' }],
  [/\b(?:outdoor|patio|balcony)(?: tub)?\b|\bpond\b/iu, { kind: 'outdoor tub' }],
];

const READ: [RegExp, Read][] = [
  // 60 × 30 × 36 cm
  [
    new RegExp(
      String.raw`${NUMBER}\s*(?:cm|in|")?\s*[x×*]\s*${NUMBER}\s*(?:cm|in|")?\s*[x×*]\s*${NUMBER}\s*(cm|mm|in(?:ch(?:es)?)?|")?`,
      'iu',
    ),
    ([, length, width, height, unit = ''], units) => {
      const cm = (text: string | undefined) =>
        measured(`${text} ${unit.replace('"', 'in')}`.trim(), 'length')(units);
      const [lengthCm, widthCm, heightCm] = [cm(length), cm(width), cm(height)];
      return lengthCm && widthCm && heightCm ? { lengthCm, widthCm, heightCm } : null;
    },
  ],
  [
    new RegExp(
      String.raw`${NUMBER}\s*-?\s*(l|lt|ltr|litres?|liters?|imp(?:erial)? gal(?:lons?)?|us gal(?:lons?)?|gal(?:lons?)?)(?![\p{L}/])`,
      'iu',
    ),
    ([, amount, unit], units) => {
      const known = /^l/iu.test(unit!) ? 'L' : /imp/iu.test(unit!) ? 'imp gal' : 'gal';
      const litres = measured(`${amount} ${known}`, 'volume')(units);
      return litres ? { litres } : null;
    },
  ],
  [
    new RegExp(String.raw`\bph\s*[:=]?\s*${NUMBER}`, 'iu'),
    ([, value]) => ({ ph: Number(value!.replace(',', '.')) }),
  ],
  [
    new RegExp(String.raw`\b(?:gh|dgh)\s*[:=]?\s*${NUMBER}|${NUMBER}\s*°?\s*d?gh\b`, 'iu'),
    ([, before, after]) => ({ gh: Number((before ?? after)!.replace(',', '.')) }),
  ],
  [
    new RegExp(
      String.raw`${NUMBER}\s*(?:(?:°|º|degrees?|deg)\s*([cf])?|([cf]))(?![\p{L}\d])`,
      'iu',
    ),
    ([, value, withSign, alone], units) => {
      const unit = (withSign ?? alone ?? '').toUpperCase();
      const degrees = Number(value!.replace(',', '.'));
      // Without its letter: no fish is kept at 45 °C, and few at 45 °F.
      const own = degrees > 45 ? 'F' : 'C';
      const tempC = measured(`${value} °${unit || own}`, 'temperature')(units);
      return tempC === null ? null : { tempC };
    },
  ],
  // lights 14–22, lit from 2pm to 10pm, light on 10:00 off 20:00
  [
    new RegExp(
      String.raw`\b(?:lights?|lit|lighting)\b[^\d]{0,12}${CLOCK}\s*(?:h|hrs?)?\s*(?:-|–|—|to|until|till|,?\s*off(?: at)?)\s*${CLOCK}\s*(?:h|hrs?)?`,
      'iu',
    ),
    ([, onHour, onMinute, onHalf, offHour, offMinute, offHalf]) => {
      const lightOnMin = minutesOf(onHour!, onMinute, onHalf);
      const lightOffMin = minutesOf(offHour!, offMinute, offHalf);
      return lightOnMin === null || lightOffMin === null || lightOnMin === lightOffMin
        ? null
        : { lightOnMin, lightOffMin };
    },
  ],
];

function minutesOf(hour: string, minute = '0', half?: string): number | null {
  const typed = Number(hour);
  const late = half?.toLowerCase() === 'pm' && typed < 12 ? 12 : 0;
  const midnight = (half?.toLowerCase() === 'am' && typed === 12) || typed === 24;
  const minutes = (midnight ? 0 : typed + late) * 60 + Number(minute);
  return minutes >= 0 && minutes < 1440 && Number(minute) < 60 ? minutes : null;
}

/**
 * What a piece says of a tank.
 * @returns the facts, and what of the piece says something else; empty where it is all of the tank
 */
export function tankFacts(piece: string, units: UnitChoice): { facts: TankFacts; rest: string } {
  let rest = ` ${piece} `;
  let facts: TankFacts = {};
  const take = (pattern: RegExp, read: Read) => {
    const found = pattern.exec(rest);
    const said = found && read(found, units);
    if (!found || !said) return;
    facts = { ...said, ...facts };
    rest = rest.replace(found[0], ' ');
  };
  for (const [pattern, read] of READ) take(pattern, read);
  for (const [pattern, said] of SAID) take(pattern, () => said);
  return { facts, rest: rest.replace(FILLER, ' ').replace(/\s+/gu, ' ').trim() };
}
