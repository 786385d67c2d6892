import type { Account, Answered, Rating, Served, TrialRow } from '@open-larder/contract';
import {
  dayOfCycle,
  isSize,
  type FeedingModel,
  type LifeEvent,
  type SizeKind,
} from '@open-larder/core';
import {
  formatGrams,
  formatUnits,
  formatNumber,
  formatQuantity,
  formatSign,
} from '@open-larder/say';
import { formatDay } from '../print/document';
import type { HouseholdSnapshot } from '../round/house';

/** In what costs are reported: an ISO 4217 code. */
interface Priced {
  currency: string;
}

export const percent = (share: number) => `${Math.round(share * 100)} %`;
export const fish = (count: number) => `${count} fish`;
/** A length as the household reads it. */
export const lengthIn = ({ units }: Pick<HouseholdSnapshot, 'units'>, base: number) =>
  formatQuantity(units, 'length', base);

export const money = (minor: number, { currency }: Priced) =>
  new Intl.NumberFormat('en-GB', { style: 'currency', currency }).format(minor / 100);

/** «12 Mar 2026: 4 fish lost, illness» */
export const formatLife =
  (household: HouseholdSnapshot) =>
  (event: LifeEvent): string => {
    const day = formatDay(event.day);
    if (event.kind === 'moved') {
      return `${day}: into ${household.tanks.find(({ id }) => id === event.tankId)?.name ?? 'another tank'}`;
    }
    if (event.kind === 'measured')
      return `${day}: measured, ${lengthIn(household, event.lengthCm)}`;
    if (event.kind === 'staged') return `${day}: now ${event.stage}`;
    if (!isSize(event)) return day;
    const count = fish(event.males + event.females + event.unsexed);
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

export function formatGroup(
  row: Account['groups'][number],
  report: Priced & { household: HouseholdSnapshot },
): string[] {
  const { began, ended, died, causes, over30, growthPerDay, usualCm, first, last } = row;
  const grew = first && last ? last.cm - first.cm : null;
  return [
    began === ended ? fish(ended) : `${began}, then ${fish(ended)}`,
    died === 0
      ? null
      : `${died} lost: ${causes.map(({ cause, count }) => `${count} ${cause}`).join(', ')}${
          over30
            ? `; of such ${percent(over30.share)} live through thirty days (${percent(over30.low)} to ${percent(over30.high)})`
            : ''
        }`,
    grew === null || growthPerDay === null
      ? null
      : `grew ${lengthIn(report.household, grew)}${usualCm === null ? '' : ` where its kind grows ${lengthIn(report.household, usualCm)}`}, ${formatNumber(growthPerDay, 2)} % of its mass a day`,
    `ate ${formatGrams(row.eatenG)}${row.costMinor === null ? '' : ` for ${money(row.costMinor, report)}`}${
      row.conversion === null
        ? ''
        : `; ${formatNumber(row.conversion, 1)} g dry food to a gram gained`
    }`,
  ].filter((line) => line !== null);
}

export function byFood(rows: Served['rows']): string[] {
  const sums = new Map<string, { offered: number; eaten: number }>();
  for (const row of rows) {
    const sum = sums.get(row.foodName) ?? { offered: 0, eaten: 0 };
    sums.set(row.foodName, {
      offered: sum.offered + row.offeredG,
      eaten: sum.eaten + row.offeredG - row.refusedG - row.leftG,
    });
  }
  return [...sums]
    .sort(([, a], [, b]) => b.offered - a.offered)
    .map(
      ([name, { offered, eaten }]) =>
        `${name}: ${formatGrams(eaten)} of ${formatGrams(offered)} eaten`,
    );
}

const RATED_WORDS = {
  colour: { worse: 'duller', same: 'colour as before', better: 'brighter' },
  growth: { worse: 'slower growth', same: 'growth as before', better: 'faster growth' },
};

export const formatRating = ({ foodName, day, colour, growth, note }: Rating): string =>
  `${formatDay(day)}: ${foodName}: ${[
    colour && RATED_WORDS.colour[colour],
    growth && RATED_WORDS.growth[growth],
    note,
  ]
    .filter(Boolean)
    .join(', ')}`;

export function formatDiet(house: FeedingModel, groupId: string, today: string): string[] {
  const group = house.groups.find(({ id }) => id === groupId);
  const tank = house.tanks.find(({ id }) => id === group?.tankId);
  const moments = new Map(house.moments.map((moment) => [moment.id, moment.name]));
  const foods = new Map(house.foods.map((food) => [food.id, food]));
  if (!group?.diet || !tank) return [];
  const cycle = tank.plan.cycle;
  const on = dayOfCycle(cycle, today);
  return group.diet.servings.flatMap(({ foodId, momentId, days, ownUnits, place }) => {
    const food = foods.get(foodId);
    if (!food) return [];
    const often =
      days.length === cycle.days ? 'every day' : `on ${days.length} of ${cycle.days} days`;
    return `${moments.get(momentId) ?? 'Beside the moments'}: ${food.name}${
      ownUnits === null ? '' : `, ${formatUnits(ownUnits, food.unit)}`
    }, ${often}${days.includes(on) ? ', today too' : ''}${place === '' ? '' : `, ${place}`}`;
  });
}

export const formatDecided =
  ({ units }: Pick<HouseholdSnapshot, 'units'>) =>
  ({ day, kind, accepted, later, change, foodName, signs }: Answered): string => {
    const what =
      kind === 'portions'
        ? `${Math.round(Math.abs(change ?? 0) * 100)} % ${(change ?? 0) < 0 ? 'less' : 'more'}`
        : kind === 'water'
          ? 'another rhythm of changes'
          : `training onto ${foodName ?? 'a food'}`;
    const said = accepted ? 'done' : later ? 'put off' : 'declined';
    return `${formatDay(day)}: ${what}, ${said}${signs[0] ? ` (${formatSign(signs[0].seen, units)})` : ''}`;
  };

export function formatTrial({ name, from, weeks, status }: TrialRow): string {
  const result = status?.result;
  const says =
    !result || 'refused' in result
      ? 'nothing to say yet'
      : result.says === 'none'
        ? 'no difference was shown'
        : `the second grew ${result.says} (${formatNumber(result.share * 100, 0)} %)`;
  return `${name}, from ${formatDay(from)} for ${weeks} weeks: ${says}`;
}
