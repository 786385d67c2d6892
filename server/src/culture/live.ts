import type { Catalogue } from '@open-larder/catalogue/load';
import type { FoodRow } from '@open-larder/contract';
import { dailySupply, forecastStartOf } from '@open-larder/core/culture';
import type { Clock } from '../clock';
import type { Scope } from '../db';
import { readVesselStatuses } from './status';
import { vessels } from './store';

/** Supply is reported for so many days: eight weeks, as far as a dry run looks. */
const LIVE_DAYS = 56;

/** Foods with what the household's cultures give of each on the days from today. */
export async function withLive(
  scope: Scope,
  catalogue: Catalogue,
  clock: Clock,
  foods: readonly FoodRow[],
): Promise<FoodRow[]> {
  const wanted = new Set(foods.map(({ id }) => id));
  const kept = (await vessels(scope, null, null)).filter(
    ({ foodId }) => foodId !== null && wanted.has(foodId),
  );
  if (kept.length === 0) return [...foods];
  const kinds = new Map(catalogue.cultures.map((kind) => [kind.key, kind]));
  const given = new Map<string, number[]>();
  for (const one of await readVesselStatuses(scope, catalogue, clock, kept)) {
    const kind = kinds.get(one.kindKey);
    if (!kind || one.status.state === 'ended') continue;
    const standing = forecastStartOf(
      { ...one, kind, shared: one.alsoKindKey !== null },
      one.status,
      one.hatch?.share,
    );
    const daily = dailySupply(standing, one.status, LIVE_DAYS);
    const sum = given.get(one.foodId!) ?? daily.map(() => 0);
    given.set(
      one.foodId!,
      sum.map((grams, day) => grams + daily[day]!),
    );
  }
  return foods.map((food) => {
    const liveG = given.get(food.id);
    return liveG ? { ...food, liveG } : food;
  });
}
