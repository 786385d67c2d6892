import type { BroodEventRow, BroodRow, BroodTubRow } from '@open-larder/contract';
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
