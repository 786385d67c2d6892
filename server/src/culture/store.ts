import type { VesselEventRow, VesselRow } from '@open-larder/contract';
import { AT, eventLog, type Scope } from '../db';
import { z } from 'zod';

/** A vessel as its row holds it: its status is computed from its events. */
export type StoredVessel = Omit<VesselRow, 'status' | 'work' | 'hatch'> & {
  startedAt: string;
  enteredOn: string | null;
};

const VESSEL = `v.id, v.kind_key, v.also_kind_key, v.name, v.measure, v.temp_c, v.strain, v.place,
  v.started_from, v.water, v.tools, v.food_id, v.started_on::text, v.entered_on::text, v.start_g, v.from_vessel_id,
  v.version, to_char(v.started_at AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"') AS started_at`;
/** An event, with the lot that a harvest was put aside as. */
type KeptEvent = VesselEventRow & { lotId: string | null };

export const VESSEL_EVENTS = eventLog<KeptEvent>({
  table: 'vessel_events',
  what: 'This event',
  columns: `e.id, e.vessel_id, e.kind, e.day::text, e.hand, e.note, e.density, e.clarity, e.count,
    e.sample_ml, e.mass_g, e.by, e.amount, e.share, e.temp_c, e.feeding_id, e.lot_id, ${AT}`,
});

/** Vessels in the order in which they were made, after a cursor of [seq]; all without a limit. */
export const vessels = (
  scope: Scope,
  after: readonly (string | number)[] | null,
  limit: number | null,
): Promise<(StoredVessel & { seq: number })[]> =>
  scope.rows(
    `SELECT v.seq, ${VESSEL} FROM vessels v
      WHERE v.household_id = :household ${after === null ? '' : 'AND v.seq > :seq'}
      ORDER BY v.seq LIMIT :limit`,
    { limit, seq: after?.[0] ?? 0 },
  );

/** The vessels that give a food and were started by a day, the oldest first. */
export const vesselsGiving = (scope: Scope, foodId: string, day: string): Promise<StoredVessel[]> =>
  scope.rows(
    `SELECT ${VESSEL} FROM vessels v
      WHERE v.household_id = :household AND v.food_id = :foodId AND v.started_on <= :day
      ORDER BY v.started_on, v.seq`,
    { foodId, day },
  );

export async function readStoredVessel(scope: Scope, id: string): Promise<StoredVessel | null> {
  const [row] = await scope.rows<StoredVessel>(
    `SELECT ${VESSEL} FROM vessels v WHERE v.household_id = :household AND v.id = :id`,
    { id },
  );
  return row ?? null;
}

/**
 * What happened to some vessels, the oldest first, that their standing is computed from: of what recurs
 * daily only since a day, for what was seen and taken long before that says nothing any more.
 */
export const listEvents = (
  scope: Scope,
  ids: readonly string[],
  since: string,
): Promise<VesselEventRow[]> =>
  ids.length === 0
    ? Promise.resolve([])
    : VESSEL_EVENTS.list(
        scope,
        `e.vessel_id IN (:ids) AND (e.day >= :since
          OR e.kind IN ('crashed', 'rested', 'woken', 'ended', 'added', 'split', 'restarted'))
         ORDER BY e.day, e.at, e.seq`,
        { ids, since },
      );

/** What happened to a vessel, newest first, before a cursor of [day, seq]. */
export const vesselEvents = (
  scope: Scope,
  vesselId: string,
  before: readonly (string | number)[] | null,
  limit: number,
): Promise<(VesselEventRow & { seq: number })[]> =>
  VESSEL_EVENTS.page(scope, 'day', {
    before,
    limit,
    where: 'e.vessel_id = :vesselId',
    values: { vesselId },
  });

/** Foods that some vessel gives which has not ended. */
export async function culturedFoods(scope: Scope): Promise<Set<string>> {
  const rows = await scope.read(
    z.object({ foodId: z.string() }),
    `SELECT DISTINCT v.food_id FROM vessels v
      WHERE v.household_id = :household AND v.food_id IS NOT NULL AND NOT EXISTS (
        SELECT 1 FROM active_vessel_events e
         WHERE e.household_id = v.household_id AND e.vessel_id = v.id AND e.kind = 'ended')`,
  );
  return new Set(rows.map(({ foodId }) => foodId));
}
