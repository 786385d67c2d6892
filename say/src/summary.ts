import { isSize, type LifeEvent, type SizeKind } from '@open-larder/core/group';
import type { Seen } from '@open-larder/core/proposal';
import type { UnitChoice } from '@open-larder/core/units';
import { formatGrams, formatUnits } from './amounts';
import { formatMgL, formatNumber, formatPercent, formatQuantity } from './figures';
import { formatSign } from './proposal';
import { formatDay } from './time';

/** How a household reads figures, and in what costs are given: an ISO 4217 code. */
export interface SummaryReader {
  units: UnitChoice;
  currency: string;
}

const formatFish = (count: number) => `${count} fish`;

const formatMoney = (minor: number, { currency }: Pick<SummaryReader, 'currency'>) =>
  new Intl.NumberFormat('en-GB', { style: 'currency', currency }).format(minor / 100);

/**
 * Something in a group's life: «12 Mar 2026: 4 fish lost, illness».
 * @param tanks by whose names a move is told apart
 */
export const formatLifeEvent =
  ({ units, tanks }: { units: UnitChoice; tanks: readonly { id: string; name: string }[] }) =>
  (event: LifeEvent): string => {
    const day = formatDay(event.day);
    if (event.kind === 'moved') {
      return `${day}: into ${tanks.find(({ id }) => id === event.tankId)?.name ?? 'another tank'}`;
    }
    if (event.kind === 'measured') {
      return `${day}: measured, ${formatQuantity(units, 'length', event.lengthCm)}`;
    }
    if (event.kind === 'staged') return `${day}: now ${event.stage}`;
    if (!isSize(event)) return day;
    const count = formatFish(event.males + event.females + event.unsexed);
    const cause = event.kind === 'died' && event.cause ? `, ${event.cause}` : '';
    return `${day}: ${SIZE_WORDS[event.kind].replace('%', count)}${cause}`;
  };

const SIZE_WORDS: Record<SizeKind, string> = {
  arrived: '% came',
  born: '% born',
  joined: '% joined',
  counted: '% counted',
  died: '% lost',
  sold: '% sold',
  given: '% given away',
  parted: '% left for another group',
};

/** «12 fish, adult» */
export const formatKept = ({ size, stage }: { size: { total: number }; stage: string }) =>
  `${formatFish(size.total)}, ${stage}`;

/** What became of a group in a span. Lengths in cm, masses in g, money in minor units. */
export interface GroupYear {
  began: number;
  ended: number;
  died: number;
  causes: readonly { cause: string; count: number }[];
  over30: { share: number; low: number; high: number } | null;
  first: { cm: number } | null;
  last: { cm: number } | null;
  growthPerDay: number | null;
  usualCm: number | null;
  eatenG: number;
  conversion: number | null;
  costMinor: number | null;
}

export function formatGroupYear(year: GroupYear, reader: SummaryReader): string[] {
  const { began, ended, died, causes, over30, growthPerDay, usualCm, first, last } = year;
  const length = (cm: number) => formatQuantity(reader.units, 'length', cm);
  const survival = over30
    ? `; 30-day survival ${formatPercent(over30.share)} (${formatPercent(over30.low)} to ${formatPercent(over30.high)})`
    : '';
  return [
    began === ended ? formatFish(ended) : `${began}, then ${formatFish(ended)}`,
    died === 0
      ? null
      : `${died} lost: ${causes.map(({ cause, count }) => `${count} ${cause}`).join(', ')}${survival}`,
    first === null || last === null || growthPerDay === null
      ? null
      : `grew ${length(last.cm - first.cm)}${usualCm === null ? '' : ` where its kind grows ${length(usualCm)}`}, ${formatNumber(growthPerDay, 2)} % of its mass a day`,
    `ate ${formatGrams(year.eatenG)}${year.costMinor === null ? '' : ` for ${formatMoney(year.costMinor, reader)}`}${
      year.conversion === null
        ? ''
        : `; ${formatNumber(year.conversion, 1)} g dry food to a gram gained`
    }`,
  ].filter((line) => line !== null);
}

/** What became of a tank's water, and what its food cost. */
export interface TankYear {
  changes: number;
  litres: number | null;
  tests: number;
  nitrate: { n: number; mean: number; max: number } | null;
  costMinor: number | null;
}

export function formatTankYear(year: TankYear, reader: SummaryReader): string[] {
  const { changes, litres, tests, nitrate, costMinor } = year;
  const inAll = litres === null ? '' : `, ${formatQuantity(reader.units, 'volume', litres)} in all`;
  return [
    `${changes} water change${changes === 1 ? '' : 's'}${inAll}; ${tests} test${tests === 1 ? '' : 's'}`,
    ...(nitrate
      ? [
          `Nitrate ${formatMgL(nitrate.mean)} mg/L on average over ${nitrate.n} tests, ${formatMgL(nitrate.max)} at the highest`,
        ]
      : []),
    ...(costMinor === null ? [] : [`Food for ${formatMoney(costMinor, reader)}`]),
  ];
}

/** «25 % of the water every 7 days» */
export const formatRhythm = ({ share, everyDays }: { share: number; everyDays: number }) =>
  `${formatPercent(share)} of the water every ${everyDays} days`;

/** Grams of a food as offered, and what of it was refused or left. */
export interface FoodEaten {
  foodName: string;
  servings: number;
  offeredG: number;
  refusedG: number;
  leftG: number;
}

const eatenOf = ({ offeredG, refusedG, leftG }: FoodEaten) =>
  `${formatGrams(offeredG - refusedG - leftG)} of ${formatGrams(offeredG)} eaten`;

/** «Flake: 12 times, 1.2 g of 1.3 g eaten», most first. */
export const formatMeals = (rows: readonly FoodEaten[]): string[] =>
  [...rows]
    .sort((a, b) => b.offeredG - a.offeredG)
    .map((row) => `${row.foodName}: ${row.servings} times, ${eatenOf(row)}`);

/** «Flake: 1.2 g of 1.3 g eaten», each food once, most first. */
export function formatByFood(rows: readonly FoodEaten[]): string[] {
  const sums = new Map<string, FoodEaten>();
  for (const row of rows) {
    const sum = sums.get(row.foodName);
    sums.set(row.foodName, {
      foodName: row.foodName,
      servings: row.servings + (sum?.servings ?? 0),
      offeredG: row.offeredG + (sum?.offeredG ?? 0),
      refusedG: row.refusedG + (sum?.refusedG ?? 0),
      leftG: row.leftG + (sum?.leftG ?? 0),
    });
  }
  return [...sums.values()]
    .sort((a, b) => b.offeredG - a.offeredG)
    .map((row) => `${row.foodName}: ${eatenOf(row)}`);
}

/** «12 Mar 2026: 3.1 cm of 5, between 2.9 cm and 3.3 cm»: a mean length of those measured, cm. */
export function formatMeasured(
  { day, mean, low, high, n }: MeasuredMean,
  units: UnitChoice,
): string {
  const length = (cm: number) => formatQuantity(units, 'length', cm);
  const band = low === null || high === null ? '' : `, between ${length(low)} and ${length(high)}`;
  return `${formatDay(day)}: ${length(mean)} of ${n}${band}`;
}

export interface MeasuredMean {
  day: string;
  mean: number;
  low: number | null;
  high: number | null;
  n: number;
}

const RATED_WORDS = {
  colour: { worse: 'duller', same: 'colour as before', better: 'brighter' },
  growth: { worse: 'slower growth', same: 'growth as before', better: 'faster growth' },
};

/** What a food was seen to do to a group. */
export interface FoodRating {
  foodName: string;
  day: string;
  colour: keyof typeof RATED_WORDS.colour | null;
  growth: keyof typeof RATED_WORDS.growth | null;
  note: string;
}

export const formatRating = ({ foodName, day, colour, growth, note }: FoodRating): string =>
  `${formatDay(day)}: ${foodName}: ${[
    colour && RATED_WORDS.colour[colour],
    growth && RATED_WORDS.growth[growth],
    note,
  ]
    .filter(Boolean)
    .join(', ')}`;

/** A serving of a diet, and on how many days of its cycle. */
export interface ServingFacts {
  momentName: string | null;
  food: { name: string; unit: Parameters<typeof formatUnits>[1] };
  ownUnits: number | null;
  days: readonly number[];
  cycleDays: number;
  /** Today's day of the cycle. */
  today: number;
  place: string;
}

/** «Lights-on: flake, ½ pinch, every day, today too, at the left corner» */
export function formatServing(serving: ServingFacts): string {
  const { momentName, food, ownUnits, days, cycleDays, today, place } = serving;
  const amount = ownUnits === null ? '' : `, ${formatUnits(ownUnits, food.unit)}`;
  const often = days.length === cycleDays ? 'every day' : `on ${days.length} of ${cycleDays} days`;
  return `${momentName ?? 'Outside the moments'}: ${food.name}${amount}, ${often}${
    days.includes(today) ? ', today too' : ''
  }${place === '' ? '' : `, ${place}`}`;
}

/** A proposal, and what the keeper answered. */
export interface Decision {
  day: string;
  kind: 'portions' | 'water' | 'training';
  accepted: boolean;
  later: boolean;
  change: number | null;
  foodName: string | null;
  signs: readonly { seen: Seen }[];
}

/** «12 Mar 2026: 10 % less, done (bellies round)» */
export function formatDecision(
  { day, kind, accepted, later, change, foodName, signs }: Decision,
  units: UnitChoice,
): string {
  const what =
    kind === 'portions'
      ? `${formatPercent(Math.abs(change ?? 0))} ${(change ?? 0) < 0 ? 'less' : 'more'}`
      : kind === 'water'
        ? 'another rhythm of changes'
        : `training onto ${foodName ?? 'a food'}`;
  const answer = accepted ? 'done' : later ? 'put off' : 'declined';
  return `${formatDay(day)}: ${what}, ${answer}${signs[0] ? ` (${formatSign(signs[0].seen, units)})` : ''}`;
}

/** Two groups on two diets, and what came of it so far; a null result where nothing can be said. */
export interface TrialFacts {
  name: string;
  from: string;
  weeks: number;
  result: { says: string; share: number } | null;
}

export function formatTrial({ name, from, weeks, result }: TrialFacts): string {
  const says =
    result === null
      ? 'nothing to say yet'
      : result.says === 'none'
        ? 'no difference was shown'
        : `the second grew ${result.says} (${formatPercent(result.share)})`;
  return `${name}, from ${formatDay(from)} for ${weeks} weeks: ${says}`;
}
