import { parseMeasure, type UnitChoice } from '@open-larder/core/units';

/** How many there are of a kind, as far as it was said, and what is left of the words: their name. */
export interface GroupFacts {
  /** Null where no number was said. */
  count: number | null;
  males: number;
  females: number;
  /** Mean total length. */
  lengthCm: number | null;
  stage: 'fry' | 'juvenile' | 'adult' | null;
  name: string;
}

const NUMBERS: Record<string, number> = {
  a: 1,
  an: 1,
  one: 1,
  single: 1,
  two: 2,
  couple: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
  ten: 10,
  eleven: 11,
  twelve: 12,
  dozen: 12,
  fifteen: 15,
  twenty: 20,
  thirty: 30,
};
const COUNTED = new RegExp(
  String.raw`^(\d{1,4}|${Object.keys(NUMBERS).join('|')})(?:\s*[x×]\s*|\s+)`,
  'iu',
);
const GATHERED = /^(?:a\s+)?(?:school|shoal|group|colony|bunch|gang)\s+of\s+/iu;
const LENGTH =
  /\(?\b(\d+(?:[.,]\d+)?)(?:\s*(?:-|–|to)\s*(\d+(?:[.,]\d+)?))?\s*(mm|cm|in(?:ch(?:es)?)?|″|")(?!\p{L})(?:\s+(?:long|each))?\)?/iu;
const SEXED =
  /\(?\b(\d{1,3})\s*(?:m|♂|males?)(?!\p{L})\s*[,/+&]?\s*(?:and\s+)?(\d{1,3})\s*(?:f|♀|females?)(?!\p{L})\)?/iu;
const STAGES: [RegExp, NonNullable<GroupFacts['stage']>][] = [
  [/\b(?:fry|babies|baby)\b/iu, 'fry'],
  [/\b(?:juveniles?|young|youngsters?|juvies?|sub-?adults?)\b/iu, 'juvenile'],
  [/\b(?:adults?|grown|full[\s-]grown)\b/iu, 'adult'],
];

/** What a piece says of a group: «24 harlequins 3 cm», «pair of dwarf gouramis», «2m 4f guppies». */
export function groupFacts(piece: string, units: UnitChoice): GroupFacts {
  let rest = piece.trim();
  const facts: GroupFacts = {
    count: null,
    males: 0,
    females: 0,
    lengthCm: null,
    stage: null,
    name: '',
  };
  const take = (pattern: RegExp, read: (found: RegExpExecArray) => void) => {
    const found = pattern.exec(rest);
    if (!found) return;
    read(found);
    rest = rest.replace(found[0], ' ').trim();
  };
  take(LENGTH, ([, from, to, unit]) => {
    const cm = (text: string) =>
      parseMeasure(`${text} ${unit!.replace(/["″]/u, 'in')}`, 'length', units).base ?? null;
    const [first, second] = [cm(from!), to === undefined ? null : cm(to)];
    facts.lengthCm = first !== null && second !== null ? (first + second) / 2 : first;
  });
  take(SEXED, ([, males, females]) => {
    facts.males = Number(males);
    facts.females = Number(females);
    facts.count = facts.males + facts.females;
  });
  take(GATHERED, () => undefined);
  take(/^(?:a\s+|breeding\s+|mated\s+)*pairs?\s+(?:of\s+)?/iu, () => {
    Object.assign(facts, { count: 2, males: 1, females: 1 });
  });
  take(/^(?:a\s+)?trio\s+(?:of\s+)?/iu, () => {
    Object.assign(facts, { count: 3, males: 1, females: 2 });
  });
  if (facts.count === null) {
    take(COUNTED, ([, said]) => {
      facts.count = NUMBERS[said!.toLowerCase()] ?? Number(said);
    });
    take(/^(?:dozen|of)\s+/iu, ([word]) => {
      if (/dozen/iu.test(word)) facts.count = 12 * (facts.count ?? 1);
    });
    take(/^males?\s+|\bmales?$/iu, () => (facts.males = facts.count ?? 0));
    take(/^females?\s+|\bfemales?$/iu, () => (facts.females = facts.count ?? 0));
  }
  for (const [pattern, stage] of STAGES) {
    if (facts.stage === null) take(pattern, () => (facts.stage = stage));
  }
  facts.name = rest
    .replace(/^(?:of|x)\s+/iu, '')
    .replace(/[()]/gu, '')
    .replace(/\s+/gu, ' ')
    .trim();
  return facts;
}
