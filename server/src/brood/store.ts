import type { BroodEventRow, BroodRow, BroodTubRow } from '@open-larder/contract';
import { conditioningEndsOn } from '@open-larder/core/brood';
import { BROOD_EVENTS as KINDS } from '@open-larder/core/brood/vocabulary';
import { groups } from 'd3-array';
import { z } from 'zod';
import { AT, eventLog, type Scope } from '../db';

/** A brood as its row holds it: its status is computed from its events. */
export type StoredBrood = Omit<BroodRow, 'status' | 'work' | 'tubs' | 'meals' | 'light'>;
export type StoredTub = BroodTubRow & { broodId: string };

const BROOD = `b.id, b.name, b.species_key, b.breeding, b.tank_id, b.group_id, b.young_group_id, b.raising, b.egg_care,
  b.first_water, b.first_food, b.target_cm, b.condition_days, b.checkpoints, b.version`;
const TUB = 't.id, t.brood_id, t.name, t.litres, t.temp_c, t.ph, t.filtered, t.version';
export const BROOD_EVENTS = eventLog<BroodEventRow>({
  table: 'brood_events',
  what: 'This event',
  columns: `e.id, e.brood_id, e.kind, e.day::text, e.hand, e.note, e.tub_id, e.to_tub_id, e.count,
    e.length_mm, e.short_mm, e.long_mm, e.temp_c, e.share, e.food_key, e.product, e.for_days, e.every_days,
    ${AT}`,
});

/** Broods in the order in which they were begun, after a cursor of [seq]; all without a limit. */
export const broods = (
  scope: Scope,
  after: readonly (string | number)[] | null,
  limit: number | null,
): Promise<(StoredBrood & { seq: number })[]> =>
  scope.rows(
    `SELECT b.seq, ${BROOD} FROM broods b
      WHERE b.household_id = :household ${after === null ? '' : 'AND b.seq > :seq'}
      ORDER BY b.seq LIMIT :limit`,
    { limit, seq: after?.[0] ?? 0 },
  );

export async function readStoredBrood(scope: Scope, id: string): Promise<StoredBrood | null> {
  const [row] = await scope.rows<StoredBrood>(
    `SELECT ${BROOD} FROM broods b WHERE b.household_id = :household AND b.id = :id`,
    { id },
  );
  return row ?? null;
}

/** A span in which a group is built up to spawn: up to the day before `to`. */
export interface Conditioned {
  groupId: string;
  from: string;
  to: string;
}

/** The spans in which some groups were conditioned, or all of them. */
export async function conditionings(
  scope: Scope,
  groupIds: readonly string[] | null,
): Promise<Conditioned[]> {
  const rows = await scope.read(
    z.object({
      id: z.string(),
      groupId: z.string(),
      conditionDays: z.number().nullable(),
      kind: z.enum(KINDS),
      day: z.string(),
    }),
    `SELECT b.id, b.group_id, b.condition_days, e.kind, e.day::text
       FROM active_brood_events e
       JOIN broods b ON b.household_id = e.household_id AND b.id = e.brood_id
      WHERE e.household_id = :household AND b.group_id IS NOT NULL
        ${groupIds === null ? '' : 'AND b.group_id IN (:groupIds)'}
        AND EXISTS (SELECT 1 FROM active_brood_events c
                     WHERE c.household_id = e.household_id AND c.brood_id = e.brood_id
                       AND c.kind = 'conditioned')
      ORDER BY e.day`,
    { groupIds },
  );
  return groups(rows, ({ id }) => id).flatMap(([, events]): Conditioned[] => {
    const { groupId, conditionDays } = events[0]!;
    const from = events.find(({ kind }) => kind === 'conditioned')!.day;
    const to = conditioningEndsOn(events, conditionDays);
    return to === null ? [] : [{ groupId, from, to }];
  });
}

/** The tubs of some broods, in the order in which they were made. */
export const tubsOf = (scope: Scope, broodIds: readonly string[]): Promise<StoredTub[]> =>
  broodIds.length === 0
    ? Promise.resolve([])
    : scope.rows(
        `SELECT ${TUB} FROM brood_tubs t
          WHERE t.household_id = :household AND t.brood_id IN (:broodIds) ORDER BY t.seq`,
        { broodIds },
      );

export async function readStoredTub(scope: Scope, id: string): Promise<StoredTub | null> {
  const [row] = await scope.rows<StoredTub>(
    `SELECT ${TUB} FROM brood_tubs t WHERE t.household_id = :household AND t.id = :id`,
    { id },
  );
  return row ?? null;
}

/** What happened to some broods, the oldest first. */
export const listEvents = (scope: Scope, broodIds: readonly string[]): Promise<BroodEventRow[]> =>
  broodIds.length === 0
    ? Promise.resolve([])
    : BROOD_EVENTS.list(scope, 'e.brood_id IN (:broodIds) ORDER BY e.day, e.at, e.seq', {
        broodIds,
      });

/** What happened to a brood, newest first, before a cursor of [day, seq]. */
export const broodEvents = (
  scope: Scope,
  broodId: string,
  before: readonly (string | number)[] | null,
  limit: number,
): Promise<(BroodEventRow & { seq: number })[]> =>
  BROOD_EVENTS.page(scope, 'day', {
    before,
    limit,
    where: 'e.brood_id = :broodId',
    values: { broodId },
  });
