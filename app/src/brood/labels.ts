import { STRATEGIES } from '@open-larder/core/strategies';
import type { BroodEventRow } from '@open-larder/contract';
import type { BroodState, Dated } from '@open-larder/core/brood';
import type {
  BroodEventKind,
  EggCare,
  FirstFood,
  FirstWater,
  Raising,
} from '@open-larder/core/brood/vocabulary';
import { formatNumber } from '@open-larder/say';
import type { Format } from '../store';
import type { Brood } from './useBroods';

export const PHASE_WORDS: Record<BroodState['phase'], string> = {
  conditioning: 'being conditioned',
  paired: 'together, not spawned yet',
  eggs: 'eggs',
  larvae: 'larvae on their yolk',
  fry: 'free-swimming',
  over: 'over',
};

export const ENDED_WORDS: Record<NonNullable<BroodState['ended']>, string> = {
  eaten: 'the eggs were eaten',
  swallowed: 'she swallowed them',
  ended: 'ended',
  'none left': 'none left',
};

/** What is waited for, as a keeper of its way of life would say it. */
export const stageWords = (stage: Dated['stage'], { strategy }: Pick<Brood, 'strategy'>): string =>
  stage === 'swim' && STRATEGIES[strategy.breeding].hatchesUnseen ? 'Released' : STAGES[stage];

const STAGES: Record<Dated['stage'], string> = {
  wet: 'Wet the eggs',
  hatch: 'Hatch',
  swim: 'Swim free',
  born: 'Young',
};

/** «fry at day 9, 38 of 40» */
export function formatBrood({ status, strategy }: Brood): string {
  const { state, swim, count, counted } = status;
  const bears = STRATEGIES[strategy.breeding].bornAfter !== null;
  const phase =
    bears && state.phase === 'paired' ? 'together, no young yet' : PHASE_WORDS[state.phase];
  if (state.phase === 'over') return ENDED_WORDS[state.ended ?? 'ended'];
  const age = swim?.seen ? status.ageDays : null;
  return [
    age === null ? phase : `${phase}, day ${age}`,
    counted ? countWords(count, state.survival) : 'not counted',
    status.lengthCm === null ? null : `${formatNumber(status.lengthCm * 10, 1)} mm`,
  ]
    .filter(Boolean)
    .join(' · ');
}

/** «38 of 40 alive», «20 here; 38 of 40 alive», or «40» where none was lost: only what was counted. */
function countWords(count: number, survival: BroodState['survival']): string {
  if (!survival || survival.alive >= survival.of) return String(count);
  const alive = `${survival.alive} of ${survival.of} alive`;
  return survival.alive === count ? alive : `${count} here; ${alive}`;
}

/** «Thu 26 Nov, between Wed 25 Nov and Fri 27 Nov» */
export function formatWindow({ day, from, to, seen }: Dated, format: Format): string {
  if (seen || from === to) return format.day(day);
  return `${format.day(day)}, between ${format.day(from)} and ${format.day(to)}`;
}

export const EVENT_WORDS: Record<BroodEventKind, string> = {
  conditioned: 'Conditioning began',
  paired: 'Put together',
  spawned: 'Spawned',
  eggsSeen: 'Eggs seen',
  parentsMoved: 'Parents parted from the eggs',
  attached: 'Larvae hang, or lie attached',
  hatched: 'Hatched',
  swimming: 'Swim free',
  firstFood: 'First food taken',
  took: 'Took the next food',
  counted: 'Counted',
  measured: 'Measured',
  moved: 'Moved to another tub',
  sorted: 'Sorted by size',
  joined: 'Another clutch came in',
  lost: 'Lost',
  rehomed: 'Given away',
  changed: 'Water changed',
  lifted: 'Leftovers taken out',
  placed: 'Standing food put in',
  removed: 'Standing food taken out',
  warmth: 'Temperature read',
  treated: 'Treated',
  eggsBad: 'Eggs bad',
  kickedOut: 'Eggs kicked out by the guard',
  eggsEaten: 'Eggs eaten',
  swallowed: 'She swallowed them',
  ended: 'Ended',
};

/** «Measured: 7.2 mm (6 to 8.3)» */
export function formatEvent(
  event: BroodEventRow,
  format: Format,
  tubName: (id: string) => string,
  foodName: (key: string) => string,
): string {
  const { kind, count, lengthMm, shortMm, longMm, tempC, share, toTubId, foodKey } = event;
  const parts: string[] = [];
  if (count !== null) parts.push(String(count));
  if (kind === 'moved' && count === null) parts.push('all');
  if (toTubId !== null) parts.push(`into ${tubName(toTubId)}`);
  if (lengthMm !== null) {
    const ends = shortMm === null || longMm === null ? '' : ` (${shortMm} to ${longMm})`;
    parts.push(`${formatNumber(lengthMm, 1)} mm${ends}`);
  }
  if (foodKey !== null) parts.push(foodName(foodKey));
  if (tempC !== null) parts.push(format.quantity('temperature', tempC));
  if (share !== null) parts.push(`${Math.round(share * 100)} %`);
  return [EVENT_WORDS[kind], parts.join(', ')].filter(Boolean).join(': ');
}

/** The practices, each with what speaks for it. */
export const RAISING_WORDS: Record<Raising, [string, string]> = {
  with: [
    'With the parents',
    'The parents lead and guard them; nothing has to be moved, and some are eaten.',
  ],
  apart: ['Apart from them', 'None are eaten; feeding them and changing their water is up to you.'],
};
export const EGG_WORDS: Record<EggCare, [string, string]> = {
  left: ['Left where they are', 'The guard fans them and picks out the bad ones.'],
  moved: ['Moved to a tub', 'Eggs of parents that eat them; you pick out the white ones.'],
  released: ['She lets them go', 'Handling can make her swallow or drop them; she knows the day.'],
  stripped: ['Stripped', 'For experienced keepers, where she is chased or swallows them.'],
  stored: ['Stored in peat', 'Eggs that rest for weeks or months, damp and dated.'],
};
export const WATER_WORDS: Record<FirstWater, [string, string]> = {
  parents: ['The parents’ water', 'The water they were laid in suits them.'],
  grown: ['Of a grown tank', 'It carries film and small life from the first hour. Never raw tap.'],
};
export const FOOD_WORDS: Record<FirstFood, [string, string]> = {
  smallest: [
    'The smallest first',
    'Infusoria or small worms until brine shrimp fits: fry starve beside food that is too large.',
  ],
  shrimp: [
    'Brine shrimp at once',
    'Fewer cultures to keep; right where it fits from the first day.',
  ],
  powder: ['Powder', 'Always there, and fouls the fastest: small, and often.'],
  film: ['The film of a grown tank', 'For grazers that eat all day; nothing has to be fed.'],
};
