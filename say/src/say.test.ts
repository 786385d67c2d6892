import type { BroodReason } from '@open-larder/core/brood';
import type { WorkReason } from '@open-larder/core/culture';
import type { LifeError } from '@open-larder/core/group';
import { computed } from '@open-larder/core/why';
import type { Seen } from '@open-larder/core/proposal';
import type { UnitChoice } from '@open-larder/core/units';
import {
  askLength,
  formatManner,
  refuseLength,
  portionsWhy,
  formatSign,
  formatWaterChange,
} from '.';
import { formatBroodWork } from './brood';
import { formatCultureWork } from './culture';
import { formatLabelError } from './label';
import { formatLifeError } from './life';

const METRIC: UnitChoice = { units: 'metric', temperature: 'C', hardness: 'dGH' };
const US: UnitChoice = { units: 'us', temperature: 'F', hardness: 'ppm' };

const meals: BroodReason = {
  is: 'meals',
  name: 'Micro worms',
  units: 0.5,
  unit: { name: 'knife tip', plural: 'knife tips', massG: 0.04, step: 0.5 },
  meals: 3,
  mealsWanted: 5,
  animals: 6751,
  live: true,
  instead: null,
};
const start: BroodReason = {
  is: 'start',
  name: 'Moina',
  inDays: 1,
  leadDays: 12,
  rungInDays: 13,
};

/** Each reason once, with what it is said as in metric units. */
const BROOD: readonly [BroodReason, string, string][] = [
  [{ is: 'conditioned', days: 16 }, 'Put them together', 'conditioned for 16 days'],
  [{ is: 'lastMeal' }, 'Their last meal is tonight', 'Tomorrow'],
  [{ is: 'liveFood', days: 1, grazers: false }, 'Live food for them today', 'a day more'],
  [{ is: 'liveFood', days: 1, grazers: true }, 'beside their vegetables', 'a day more'],
  [
    { is: 'treated', days: 1, product: null },
    'No food while the treatment is in',
    'Treated yesterday',
  ],
  [{ is: 'parentsFast', rule: 'the male fasts' }, 'The parents: the male fasts', 'fouls the eggs'],
  [
    { is: 'parentsRecover', rule: 'feed well', days: 4, fasted: true },
    'The parents: feed well',
    '4 days more',
  ],
  [
    { is: 'parentsOut', rule: 'out at once', breeding: 'egg-scattering' },
    'The parents: out at once',
    'egg-scattering',
  ],
  [{ is: 'whiteEggs' }, 'Take out eggs that are white', 'foul the others'],
  [
    { is: 'stageDue', stage: 'hatch', lateDays: 0 },
    'Look whether they hatch',
    'expected around these days',
  ],
  [{ is: 'stageDue', stage: 'born', lateDays: 1 }, 'Look for young', 'a day later'],
  [{ is: 'yolk' }, 'No food', 'only fouls'],
  [{ is: 'grown', days: 95 }, 'They eat what adults eat', 'for 95 days'],
  [{ is: 'nothingFits', days: 3 }, 'Nothing on the shelf', 'powder under 100'],
  [
    { is: 'standing', what: 'film', tub: null, days: null },
    'Keep film there all day',
    'grazed bare',
  ],
  [
    { is: 'standing', what: 'skin', tub: null, days: null },
    'from the parents’ skin',
    'small and rich',
  ],
  [{ is: 'standing', what: 'vegetables', tub: null, days: null }, 'soft vegetable', 'after a day'],
  [{ is: 'foodMissing', name: 'Moina', powder: true }, 'Moina is not there', 'today'],
  [meals, 'Micro worms: ½ knife tip, 3 times (about 6800 each)', 'Best in 5 small meals'],
  [{ ...meals, instead: 'Moina' }, 'Micro worms: ½ knife tip', 'In place of Moina'],
  [{ ...meals, animals: null, mealsWanted: 3, meals: 1 }, 'Micro worms: ½ knife tip, once', 'Best'],
  [start, 'Start Moina by tomorrow', 'ready after 12 days, and they need it in 13 days'],
  [{ ...start, inDays: -2, rungInDays: 10 }, 'Start Moina at once', 'they need it in 10'],
  [
    { is: 'change', tub: 'Tub 1', litres: 2.5, hours: 9 },
    'Tub 1: remove leftovers and change 2.5 L',
    'Ammonia builds up within 9 h',
  ],
  [
    { is: 'change', tub: 'Tub 1', litres: null, hours: 72 },
    'Tub 1: change all of it twice a day',
    'within 3 days; no daily change is enough',
  ],
  [{ is: 'uneven', tub: 'Tub 1', spread: 0.31 }, 'Tub 1: sort them by size', 'spread by 31 %'],
  [
    { is: 'crowded', tub: 'Tub 1', count: 80, lengthCm: 1.2, wantsL: 24, litres: 10 },
    'Tub 1: move them up',
    '80 of 1.2 cm need 24 L, and have 10 L',
  ],
  [{ is: 'muchChanged', tub: 'Tub 1' }, 'Tub 1: move them up', 'More than half of its water'],
  [
    { is: 'fighting', tub: 'Tub 1', species: 'Paradise fish', lengthCm: 3 },
    'Tub 1: separate those that fight',
    'Paradise fish of 3 cm',
  ],
  [{ is: 'count', tub: 'Tub 1' }, 'Tub 1: count them', 'Portions follow'],
  [{ is: 'sellable', cm: 4, inDays: 0 }, 'Find takers: they are over 4 cm', 'local rules'],
  [{ is: 'sellable', cm: 4, inDays: 3 }, 'Find takers: 4 cm in 3 days', 'local rules'],
  [{ is: 'parentsSafe', cm: 2.4 }, 'The parents’ tank can take them back', 'From 2.4 cm on'],
];

describe('what a brood asks for', () => {
  it.each(BROOD)('%j', (because, says, why) => {
    const said = formatBroodWork(because, METRIC);
    expect(said.says).toContain(says);
    expect(said.why).toContain(why);
  });

  it('names no litre, centimetre nor degree of Celsius to a household on US units', () => {
    for (const [because] of BROOD) {
      const { says, why } = formatBroodWork(because, US);
      expect(`${says} ${why}`).not.toMatch(/\d ?(?:cm|L|litres?|°C)\b/);
    }
  });
});

const CULTURES: readonly [WorkReason, string, string][] = [
  [{ is: 'changedSince' }, 'Check whether it has cleared', 'was changed'],
  [{ is: 'foul' }, 'No food; change a third', 'food rots'],
  [{ is: 'hatched' }, 'Harvest, rinse', 'It has hatched'],
  [
    { is: 'feedDue', with: 'yeast water', rule: 'every other day', ifClear: true, fedDays: 1 },
    'Feed, if it is clear: yeast water',
    'Fed yesterday; every other day.',
  ],
  [
    { is: 'feedDue', with: 'oats', rule: 'weekly', ifClear: false, fedDays: null },
    'Feed: oats',
    'Not fed since it was started',
  ],
  [{ is: 'changeDue', rule: 'a quarter', changedDays: 9 }, 'Change water', 'Changed 9 days ago.'],
  [{ is: 'changeDue', rule: 'a quarter', changedDays: null }, 'Change water', 'Not changed since'],
  [{ is: 'unseen', days: 39, guess: true }, 'Look how dense', '39 days: its figures are guesses.'],
  [{ is: 'unseen', days: 8, guess: false }, 'Look how dense', 'Not checked for 8 days.'],
  [{ is: 'crowded', fullness: 0.93 }, 'Harvest or split it', '93 % full'],
  [{ is: 'fades', inDays: 3 }, 'Start the next one', 'begins to fade in 3 days'],
  [{ is: 'fades', inDays: 0 }, 'Start the next one', 'begins to fade today'],
  [{ is: 'fades', inDays: -4 }, 'Start the next one', 'fading for 4 days'],
  [{ is: 'crashed', fromEggs: true }, 'Rinse it', 'It crashed.'],
  [{ is: 'spent', days: 60, fromEggs: false }, 'Clean it', '60 days old and spent'],
];

it.each(CULTURES)('what a culture asks for: %j', (because, says, why) => {
  const said = formatCultureWork(because);
  expect(said.says).toContain(says);
  expect(said.why).toContain(why);
});

const nitrate: Seen = {
  kind: 'nitrate',
  now: true,
  mgL: 60.4,
  capMgL: 20,
  groupName: 'Loaches',
  grows: true,
};
const growth: Seen = { kind: 'growth', cm: 2.54, usualCm: 5.08, behind: true };

describe('what speaks for a portion', () => {
  it.each<[Seen, string]>([
    [{ kind: 'belly', score: 2, still: true }, 'flat still'],
    [{ kind: 'belly', score: 4, still: false }, 'round'],
    [{ kind: 'cleared', minutes: 1.2, ofMinutes: 15 }, 'gone after 1 min of 15'],
    [{ kind: 'left', share: 0.253 }, '25 % left'],
    [growth, 'behind their kind: 2.5 cm, 5.1 cm usual'],
    [{ ...growth, behind: false }, 'growing: 2.5 cm, 5.1 cm usual'],
    [{ kind: 'mass', ofUsual: 0.8 }, '80 % of the usual mass'],
    [nitrate, 'nitrate is at 60 mg/L, Loaches tolerate 20'],
    [
      { ...nitrate, now: false },
      'nitrate peaks at 60 mg/L, Loaches tolerate 20; not counted, since these grow',
    ],
    [{ kind: 'poison', which: 'nitrite' }, 'nitrite is in the water'],
  ])('%j', (seen, says) => {
    expect(formatSign(seen, METRIC)).toBe(says);
  });

  it('is kept as figures, and said in the units of the day on which it is read', () => {
    expect(formatSign(growth, US)).toBe('behind their kind: 1 in, 2 in usual');
  });

  it('is what a proposal goes back to, the water as a forecast and the rest as seen', () => {
    const why = computed(5, { label: 'Proposed change', unit: '%', how: '', from: [] });
    const signs = [
      { seen: growth, day: '2026-03-09' },
      { seen: nitrate, day: '2026-03-08' },
    ];
    expect(portionsWhy({ why, signs }, METRIC).from).toMatchObject([
      { label: 'Length, 2026-03-09', basis: 'measured' },
      { label: 'Water, 2026-03-08', basis: 'assumed' },
    ]);
  });
});

describe('a change of water', () => {
  const change = {
    litres: 25,
    share: 0.25,
    buckets: { full: 2, ofL: 10, restL: 5 },
    parts: [{ name: 'tap water', litres: 25 }],
    warmTo: { from: 22, to: 26 },
  };

  it.each([
    [METRIC, 'change 25 L, 25 %: 2 buckets of 10 L and 5 L of tap water, at 22 °C to 26 °C'],
    [
      US,
      'change 6.6 gal, 25 %: 2 buckets of 2.6 gal and 1.3 gal of tap water, at 71.6 °F to 78.8 °F',
    ],
  ])('%j', (units, says) => {
    expect(formatWaterChange(change, units)).toBe(says);
  });

  it('of two waters names the part of each', () => {
    const parts = [
      { name: 'tap water', litres: 15 },
      { name: 'rain water', litres: 10 },
    ];
    const cold = { ...change, parts, warmTo: null };
    expect(formatWaterChange(cold, METRIC)).toMatch(/15 L tap water and 10 L rain water$/);
  });
});

describe('what cannot be', () => {
  const danios = { common: 'Danios', adultLengthCm: 4 };

  it('a long fish is asked about, in the keeper’s units', () => {
    expect(askLength(METRIC, danios, 6)).toBeNull();
    expect(askLength(METRIC, danios, 6.1)).toBe(
      'Danios grow to about 4 cm. Is 6.1 cm right, and in the right unit?',
    );
    expect(askLength(US, danios, 6.1)).toMatch(/about 1\.57 in\. Is 2\.4 in right/);
  });

  it('in a table it is a slip of the unit only where it is far too long', () => {
    expect(refuseLength(METRIC, danios, 16)).toBeNull();
    expect(refuseLength(US, danios, 35)).toMatch(/13\.78 in looks like another unit/);
  });

  it('more fish lost than there were says which entry is wrong, and what to do', () => {
    const none = { males: 0, females: 0, unsexed: 0 };
    const event = { kind: 'sold' as const, day: '2026-02-20', ...none, unsexed: 8 };
    const fault: LifeError = {
      eventId: 'e1',
      fault: 'tooFew',
      event,
      had: { ...none, males: 1, females: 2 },
      later: true,
    };
    expect(formatLifeError(fault)).toBe(
      'This would break a later event, the sale of 8 not sexed on 20 Feb 2026: only 1 male, 2 females were there. Correct that one first.',
    );
    expect(formatLifeError({ ...fault, had: none, later: false })).toMatch(
      /only none were there\. Enter fewer/,
    );
    expect(formatLifeError({ eventId: 'e1', fault: 'inNoTank', day: '2025-12-01' })).toMatch(
      /in no tank yet/,
    );
  });

  it('a label names what could not be read, or what it adds up to', () => {
    expect(formatLabelError({ is: 'unread', nutrients: ['fat', 'ash'] })).toMatch(/fat and ash/);
    expect(formatLabelError({ is: 'overWhole', sum: 1.034 })).toMatch(/103\.4 %/);
    expect(formatLabelError({ is: 'noAnalysis' })).toMatch(/write it such as/);
  });
});

it('a way of giving is said in the order in which hands do it', () => {
  const plain = { afterMin: 0, spots: 1, carried: false, soaked: false, apart: false };
  expect(formatManner(plain)).toBe('');
  expect(formatManner({ afterMin: 5, spots: 2, carried: true, soaked: true, apart: true })).toBe(
    'soaked, carried to them, in 2 places, 5 min later, set apart for it',
  );
});
