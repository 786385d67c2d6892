import type { HouseholdSettings } from '@open-larder/contract';
import { localDay, type Clock } from '../clock';
import type { Scope } from '../db';
import { notFound } from '../http/problems';

export async function readHousehold(scope: Scope): Promise<HouseholdSettings> {
  const [row] = await scope.rows<HouseholdSettings>(
    `SELECT id, name, time_zone, units, temperature, hardness, clock, week_start, currency,
            delivery_days, phrases, at_home, version
       FROM households WHERE id = :household`,
  );
  if (!row) throw notFound('This household');
  return row;
}

/** The keeper's today, in the household's own time zone. */
export async function todayOf(scope: Scope, clock: Clock): Promise<string> {
  return localDay(clock.now(), (await readHousehold(scope)).timeZone);
}
