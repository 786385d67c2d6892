import type { FoodKind } from '@open-larder/catalogue';
import type { FoodRow, Supply } from '@open-larder/contract';

/** Where each kind of food is kept. */
const SHELVES: { name: string; kinds: FoodKind[] }[] = [
  { name: 'Cupboard', kinds: ['dry'] },
  { name: 'Freezer', kinds: ['frozen', 'mix'] },
  { name: 'Fridge', kinds: ['gel', 'fresh'] },
  { name: 'Live', kinds: ['live'] },
];

/** A jar is full at this many days. */
export const FULL_DAYS = 45;
/** Fewer days than this are said in the colour of what is due. */
export const SHORT_DAYS = 7;

export type FoodSupply = Supply['foods'][number];

export interface Shelf {
  name: string;
  foods: FoodRow[];
}

/** Foods by the place they are kept in, by name. */
export function shelvesOf(foods: readonly FoodRow[]): Shelf[] {
  return SHELVES.map(({ name, kinds }) => ({
    name,
    foods: foods
      .filter((food) => !food.archived && kinds.includes(food.kind))
      .sort((a, b) => (a.name < b.name ? -1 : 1)),
  })).filter((shelf) => shelf.foods.length > 0);
}

/** Days from one local day to another. */
export const daysBetween = (from: string, to: string): number =>
  Math.round((Date.parse(to) - Date.parse(from)) / 86_400_000);

/** The first best-before among lots that still hold something; null where there is none. */
export function firstUseBy(food: FoodRow): string | null {
  const days = food.lots
    .filter((lot) => lot.remainingG > 0 && lot.bestBefore !== null)
    .map((lot) => lot.bestBefore as string)
    .sort();
  return days[0] ?? null;
}

export interface JarState {
  fill: number;
  useBy: number | null;
  short: boolean;
  words: string;
}

/** How a jar stands: its fill by days left, its use-by notch, and a word. */
export function jarOf(
  food: FoodRow,
  supply: FoodSupply | undefined,
  today: string,
  sayDay: (day: string) => string,
): JarState {
  const useBy = firstUseBy(food);
  const until = useBy === null ? null : daysBetween(today, useBy);
  const expiring = until !== null && until <= SHORT_DAYS;
  const used = supply !== undefined && supply.usedPerWeekG > 0;
  const days = supply?.days ?? null;
  const runningOut = used && days !== null && days <= SHORT_DAYS;
  const fill = food.remainingG <= 0 ? 0 : days !== null && used ? Math.min(1, days / FULL_DAYS) : 1;
  const words =
    food.remainingG <= 0
      ? 'empty'
      : expiring && until !== null
        ? until < 0
          ? `past ${sayDay(useBy as string)}`
          : `use by ${sayDay(useBy as string)}`
        : !used
          ? 'not in a plan'
          : days === null
            ? 'over 17 weeks'
            : days === 1
              ? '1 day'
              : `${days} days`;
  return {
    fill,
    useBy: until === null || until > FULL_DAYS ? null : Math.max(0, until / FULL_DAYS),
    short: food.remainingG <= 0 || expiring || runningOut,
    words,
  };
}
