import type { Catalogue } from '@open-larder/catalogue/load';
import { addDays } from '@open-larder/core';
import type { ForecastKind } from '@open-larder/core/forecasts';
import { localDay, type Clock } from '../clock';
import type { Scope } from '../db';
import { readHouse } from '../round/house';
import { broodOutcomes } from './broods';
import { cultureOutcomes } from './cultures';
import { growthOutcomes } from './growth';
import { mealOutcomes } from './meals';
import type { Outcome, Seen } from './outcome';
import { stockOutcomes } from './stock';
import { forgetForecasts, keepForecasts, keptForecasts, type KeptForecast } from './store';
import { waterOutcomes } from './water';

/** What is older than this was of other fish and other habits. Assumption. */
const LOOK_BACK_DAYS = 400;

/**
 * Score what came true and is not scored yet, the oldest first, until the time is up. Each forecast is
 * what the models say from what was known before it came true; once kept, it stays as it was.
 * @param budgetMs so long at most; the forecast that is being made is finished
 * @returns all that are kept then, and how many are left to score
 */
export async function catchUp(
  scope: Scope,
  catalogue: Catalogue,
  clock: Clock,
  budgetMs: number,
): Promise<{ kept: KeptForecast[]; pending: number }> {
  const household = await readHouse(scope, catalogue);
  const today = localDay(clock.now(), household.timeZone);
  const seen: Seen = { scope, catalogue, household, today, since: addDays(today, -LOOK_BACK_DAYS) };
  const outcomes = await outcomesOf(seen);
  const before = await keptForecasts(scope);
  const keyOf = ({ kind, eventId }: Pick<Outcome, 'kind' | 'eventId'>) => `${kind} ${eventId}`;
  const known = new Map(before.map((row) => [keyOf(row), row]));
  const there = new Set(outcomes.map(keyOf));
  const goneBack = before.filter(
    (row) => row.day >= seen.since && !LASTING.has(row.kind) && !there.has(keyOf(row)),
  );
  await forgetForecasts(
    scope,
    goneBack.map(({ eventId }) => eventId),
  );
  const missing = outcomes.filter((one) => !known.has(keyOf(one)));
  const until = performance.now() + budgetMs;
  let done = 0;
  for (const outcome of missing) {
    if (done > 0 && performance.now() > until) break;
    await keepForecasts(scope, [await scoredOf(outcome)]);
    done += 1;
    // Others are served in between.
    await new Promise((resolve) => setImmediate(resolve));
  }
  return { kept: await keptForecasts(scope), pending: missing.length - done };
}

/** A food that ran out did so, though it was bought again since. */
const LASTING: ReadonlySet<string> = new Set<ForecastKind>(['runsOut']);

async function outcomesOf(seen: Seen): Promise<Outcome[]> {
  const all = [
    ...(await waterOutcomes(seen)),
    ...growthOutcomes(seen),
    ...(await broodOutcomes(seen)),
    ...(await cultureOutcomes(seen)),
    ...(await mealOutcomes(seen)),
    ...(await stockOutcomes(seen)),
  ];
  return all.sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0));
}

/** An outcome with its forecast; without a band where the models have no answer. */
export async function scoredOf({ foresee, ...outcome }: Outcome): Promise<KeptForecast> {
  const { low, middle, high } = (await foreseen(foresee)) ?? NOTHING;
  return { ...outcome, low, middle, high };
}

const NOTHING = { low: null, middle: null, high: null };

/** A household that no model has an answer for is not forecast; that is no fault of the record. */
async function foreseen(foresee: Outcome['foresee']) {
  try {
    const band = await foresee();
    const whole = band && [band.low, band.middle, band.high].every(Number.isFinite);
    return whole && band.low <= band.middle && band.middle <= band.high ? band : null;
  } catch (error) {
    if (error instanceof RangeError) return null;
    throw error;
  }
}
