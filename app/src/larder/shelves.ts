import type { FoodRow, Supply } from '@open-larder/contract';
import { goodUntil, inOrderOfUse, usualPlace, type Place } from '@open-larder/core/stock';

/** Shelves from top to bottom. */
const SHELVES: readonly (readonly [Place, string])[] = [
  ['cupboard', 'Cupboard'],
  ['freezer', 'Freezer'],
  ['fridge', 'Fridge'],
  ['bench', 'Bench'],
];

/** A jar is full at this many days. */
export const FULL_DAYS = 45;
/** Fewer days than this are said in the colour of what is due. */
export const SHORT_DAYS = 7;

/** With more foods than this a shelf is searched, not looked over. */
export const FULL_SHELF = 24;

/** Which foods of a full shelf to look at. */
export const LOOKS = ['all', 'planned', 'short'] as const;
export type Look = (typeof LOOKS)[number];

export type FoodSupply = Supply['foods'][number];

export interface Shelf {
  name: string;
  foods: FoodRow[];
}

/** Where a food stands: with the lot that is used next, or where its kind usually does. */
export function placeOf(food: FoodRow, today: string): Place {
  const openedDays = food.keeps.openedDays;
  const held = food.lots.filter((lot) => lot.remainingG > 0);
  const next = inOrderOfUse(held, { day: today, openedDays })[0] ?? food.lots.at(-1);
  return next?.place ?? usualPlace(food.kind);
}

/** Foods by the place they are kept in, by name. */
export function shelvesOf(foods: readonly FoodRow[], today: string): Shelf[] {
  return SHELVES.map(([place, name]) => ({
    name,
    foods: foods
      .filter((food) => !food.archived && placeOf(food, today) === place)
      .sort((a, b) => (a.name < b.name ? -1 : 1)),
  })).filter((shelf) => shelf.foods.length > 0);
}

/** Days from one local day to another. */
export const daysBetween = (from: string, to: string): number =>
  Math.round((Date.parse(to) - Date.parse(from)) / 86_400_000);

/** The first last good day among lots that still hold something; null where there is none. */
export function firstUseBy(food: FoodRow): string | null {
  const days = food.lots
    .filter((lot) => lot.remainingG > 0)
    .flatMap((lot) => goodUntil(lot, food.keeps.openedDays) ?? [])
    .sort();
  return days[0] ?? null;
}

/**
 * How long a food lasts that the plan does not use up within the larder's look ahead: by its use, or by
 * the last good day of its lots, whichever ends first, with what is then left over.
 * @returns weeks, and grams that will be thrown away; null where the plan does not use it
 */
export function endsFirst(
  food: FoodRow,
  usedPerWeekG: number,
  today: string,
): { weeks: number; wasteG: number } | null {
  if (usedPerWeekG <= 0 || food.remainingG <= 0) return null;
  const byUse = food.remainingG / usedPerWeekG;
  const goods = food.lots
    .filter((lot) => lot.remainingG > 0)
    .map((lot) => goodUntil(lot, food.keeps.openedDays));
  if (goods.length === 0 || goods.some((day) => day === null)) return { weeks: byUse, wasteG: 0 };
  const last = goods.map((day) => daysBetween(today, day as string) / 7);
  const byDay = Math.max(0, ...last);
  return byDay < byUse
    ? { weeks: byDay, wasteG: food.remainingG - byDay * usedPerWeekG }
    : { weeks: byUse, wasteG: 0 };
}

export interface JarState {
  fill: number;
  useBy: number | null;
  short: boolean;
  words: string;
}

/** «26 weeks, until it expires»: what ends it, where that is not its use. */
const formatWeeks = (ends: ReturnType<typeof endsFirst>): string =>
  ends === null
    ? 'over 17 weeks'
    : `${Math.max(1, Math.round(ends.weeks))} weeks${ends.wasteG > 0 ? ', until it expires' : ''}`;

/** The status of a jar: its fill by days left, its use-by notch, and a word. */
export function jarOf(
  food: FoodRow,
  supply: FoodSupply | undefined,
  today: string,
  formatDay: (day: string) => string,
): JarState {
  const useBy = firstUseBy(food);
  const until = useBy === null ? null : daysBetween(today, useBy);
  const expiring = until !== null && until <= SHORT_DAYS;
  const used = supply !== undefined && supply.usedPerWeekG > 0;
  const days = supply?.days ?? null;
  const runningOut = used && days !== null && days <= SHORT_DAYS;
  const fill = supply?.cultured
    ? 1
    : food.remainingG <= 0
      ? 0
      : days !== null && used
        ? Math.min(1, days / FULL_DAYS)
        : 1;
  const cultured = supply?.cultured === true;
  const words =
    cultured && food.remainingG <= 0
      ? 'live shelf'
      : food.remainingG <= 0
        ? 'empty'
        : expiring && until !== null
          ? until < 0
            ? `past ${formatDay(useBy as string)}`
            : `use by ${formatDay(useBy as string)}`
          : !used
            ? 'not in a plan'
            : days === null
              ? formatWeeks(endsFirst(food, supply.usedPerWeekG, today))
              : days === 1
                ? '1 day'
                : `${days} days`;
  return {
    fill,
    useBy: until === null || until > FULL_DAYS ? null : Math.max(0, until / FULL_DAYS),
    short: (food.remainingG <= 0 && !cultured) || (expiring && !cultured) || runningOut,
    words,
  };
}
