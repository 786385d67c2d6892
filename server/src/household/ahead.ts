import { addDays } from '@open-larder/core';
import type { Clock } from '../clock';
import type { Scope } from '../db';
import { invalid, type ProblemError } from '../http/problems';
import { todayOf } from './store';

const DAY_MS = 86_400_000;

interface Said {
  day: string;
  at?: string;
}

/**
 * Refuse what is said to have happened when it has not yet. A day of grace: a phone's clock may be a
 * little ahead of the household's midnight.
 * @param instead what to do, for the sentence: «log a serving on its day»
 * @param path the field that the day stands in
 * @throws ProblemError 422 there, or at `at`
 */
export async function assertNotFuture(
  scope: Scope,
  clock: Clock,
  said: Said,
  instead: string,
  path = 'day',
): Promise<void> {
  const refused = await refuseFuture(scope, clock, said, instead, path);
  if (refused) throw refused;
}

/** The same, for who has other questions to ask at once. */
export async function refuseFuture(
  scope: Scope,
  clock: Clock,
  { day, at }: Said,
  instead: string,
  path = 'day',
): Promise<ProblemError | null> {
  if (day > addDays(await todayOf(scope, clock), 1)) {
    return invalid(path, `this day has not come yet; ${instead}`);
  }
  if (at !== undefined && Date.parse(at) > clock.now().getTime() + DAY_MS) {
    return invalid(
      'at',
      `this time has not come yet; set the clock of the device, then ${instead}`,
    );
  }
  return null;
}
