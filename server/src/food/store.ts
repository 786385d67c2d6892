import { group } from 'd3-array';
import type { BodyOf, FoodFields, FoodRow, LotRow, WeighingRow } from '@open-larder/contract';
import { v7 as uuidv7 } from 'uuid';
import { z } from 'zod';
import { eventLog, type Scope } from '../db';

/** A food as its row holds it: each field a column. */
export type FlatFood = ReturnType<typeof foodColumns> & {
  id: string;
  version: number;
  archived: boolean;
};

const FOOD = `id, name, family, kind, form, protein, fat, fibre, ash, moisture, plant_share,
  unit_name, unit_plural, unit_mass_g, unit_step, float_minutes, sink_cm_per_s, particle_min_mm,
  particle_max_mm, piece_form, width_min_mm, width_max_mm, steps, keeps_sealed_days, keeps_opened_days, keeps_prepared_hours,
  lift_after_min, cautions_people, cautions_fish, copied_from, version, archived`;
const LOT = `id, food_id, amount_g, remaining_g, cost_minor, place, bought_on::text, opened_on::text,
  best_before::text, version`;

/** A food's fields as the columns of its row. */
export function foodColumns(food: FoodFields) {
  const { name, family, kind, form, composition, plantShare, unit } = food;
  const { inWater, steps, keeps, liftAfterMin, cautions, copiedFrom } = food;
  return {
    name,
    family,
    kind,
    form,
    ...composition,
    plantShare,
    unitName: unit.name,
    unitPlural: unit.plural,
    unitMassG: unit.massG,
    unitStep: unit.step,
    ...inWater,
    steps,
    keepsSealedDays: keeps.sealedDays,
    keepsOpenedDays: keeps.openedDays,
    keepsPreparedHours: keeps.preparedHours,
    liftAfterMin,
    cautionsPeople: cautions.people,
    cautionsFish: cautions.fish,
    copiedFrom,
  };
}

/** The way back from its columns. */
export function foodFields(row: Omit<FlatFood, 'id' | 'version' | 'archived'>): FoodFields {
  const { name, family, kind, form, plantShare, steps, liftAfterMin, copiedFrom } = row;
  const { protein, fat, fibre, ash, moisture } = row;
  const { floatMinutes, sinkCmPerS, particleMinMm, particleMaxMm } = row;
  const { pieceForm = null, widthMinMm = null, widthMaxMm = null } = row;
  return {
    name,
    family,
    kind,
    form,
    composition: { protein, fat, fibre, ash, moisture },
    plantShare,
    unit: {
      name: row.unitName,
      plural: row.unitPlural,
      massG: row.unitMassG,
      step: row.unitStep,
    },
    inWater: {
      floatMinutes,
      sinkCmPerS,
      particleMinMm,
      particleMaxMm,
      pieceForm,
      widthMinMm,
      widthMaxMm,
    },
    steps,
    keeps: {
      sealedDays: row.keepsSealedDays,
      openedDays: row.keepsOpenedDays,
      preparedHours: row.keepsPreparedHours,
    },
    liftAfterMin,
    cautions: { people: row.cautionsPeople, fish: row.cautionsFish },
    copiedFrom,
  };
}

/** Foods after a cursor in order of id, with their lots; two queries whatever their number. */
export async function foods(scope: Scope, after: string | null, limit: number): Promise<FoodRow[]> {
  const rows = await scope.rows<FlatFood>(
    `SELECT ${FOOD} FROM foods WHERE household_id = :household
      ${after === null ? '' : 'AND id > :after'} ORDER BY id LIMIT :limit`,
    { after, limit },
  );
  return withLots(scope, rows);
}

/** All foods of the household, put away or not. */
export async function allFoods(scope: Scope): Promise<FoodRow[]> {
  return withLots(
    scope,
    await scope.rows<FlatFood>(
      `SELECT ${FOOD} FROM foods WHERE household_id = :household ORDER BY id`,
    ),
  );
}

export async function readFood(scope: Scope, id: string): Promise<FoodRow | null> {
  const [[row], ...own] = await Promise.all([
    scope.rows<FlatFood>(`SELECT ${FOOD} FROM foods WHERE household_id = :household AND id = :id`, {
      id,
    }),
    lotsOf(scope, [id]),
    weighings(scope, [id]),
  ]);
  return row ? wholeFoods([row], ...own)[0]! : null;
}

export async function readLot(scope: Scope, id: string): Promise<LotRow | null> {
  const [row] = await scope.rows<LotRow>(
    `SELECT ${LOT} FROM lots WHERE household_id = :household AND id = :id`,
    { id },
  );
  return row ?? null;
}

/** Put a lot on the shelf: its row, and the event that it was bought. */
export async function shelve(scope: Scope, foodId: string, lot: BodyOf<'addLot'>): Promise<void> {
  if (await readLot(scope, lot.id)) return;
  await scope.insert('lots', [{ ...lot, foodId, version: 1 }]);
  await scope.insert('stock_events', [
    { id: uuidv7(), lotId: lot.id, kind: 'bought', deltaG: lot.amountG, day: lot.boughtOn },
  ]);
}

interface Weighed extends WeighingRow {
  foodId: string;
  unit: string;
}

export const WEIGHINGS = eventLog<Weighed>({
  table: 'weighings',
  what: 'This weighing',
  columns: 'e.id, e.food_id, e.day::text, e.hand, e.unit, e.units, e.mass_g',
});

/** Weighings of the unit that each food is served in now, oldest first. */
const weighings = (scope: Scope, ids: readonly string[]): Promise<Weighed[]> =>
  WEIGHINGS.list(
    scope,
    `e.food_id IN (:ids) AND EXISTS (
       SELECT 1 FROM foods f
        WHERE f.household_id = e.household_id AND f.id = e.food_id
          AND lower(f.unit_name) = lower(e.unit))
     ORDER BY e.seq`,
    { ids },
  );

const lotsOf = (scope: Scope, ids: readonly string[]): Promise<LotRow[]> =>
  scope.rows<LotRow>(
    `SELECT ${LOT} FROM lots WHERE household_id = :household AND food_id IN (:ids) ORDER BY id`,
    { ids },
  );

/** Rows with what belongs to them: three queries whatever their number. */
async function withLots(scope: Scope, rows: readonly FlatFood[]): Promise<FoodRow[]> {
  if (rows.length === 0) return [];
  const ids = rows.map((row) => row.id);
  return wholeFoods(rows, ...(await Promise.all([lotsOf(scope, ids), weighings(scope, ids)])));
}

function wholeFoods(
  rows: readonly FlatFood[],
  lots: readonly LotRow[],
  weighed: readonly Weighed[],
): FoodRow[] {
  const lotsBy = group(lots, ({ foodId }) => foodId);
  const weighingsBy = group(weighed, ({ foodId }) => foodId);
  return rows.map((row) => {
    const own = lotsBy.get(row.id) ?? [];
    return {
      id: row.id,
      ...foodFields(row),
      version: row.version,
      archived: row.archived,
      lots: own,
      weighings: (weighingsBy.get(row.id) ?? []).map(({ foodId: _, ...one }) => one),
      remainingG: own.reduce((sum, lot) => sum + lot.remainingG, 0),
    };
  });
}

/** Open the sealed ones among the lots that were drawn from, on that day; sent with what comes next. */
export function openLots(
  scope: Scope,
  lots: readonly LotRow[],
  draws: readonly { lotId: string }[],
  day: string,
): void {
  const drawn = new Set(draws.map((draw) => draw.lotId));
  const ids = lots.filter((lot) => lot.openedOn === null && drawn.has(lot.id)).map((lot) => lot.id);
  if (ids.length === 0) return;
  scope.changeAhead(
    `UPDATE lots SET opened_on = GREATEST(bought_on, :day), version = version + 1
      WHERE household_id = :household AND id IN (:ids) AND opened_on IS NULL`,
    { ids, day },
  );
}

/** What was served from a lot after an instant, as a change in g; and whether it was counted after it. */
export async function changedSince(
  scope: Scope,
  lotId: string,
  at: string,
): Promise<{ since: number; recounted: boolean }> {
  const [row] = await scope.read(
    z.object({ since: z.number(), recounted: z.boolean() }),
    `SELECT coalesce(sum(e.delta_g) FILTER (WHERE f.at > :at), 0) AS since,
            coalesce(bool_or(e.at > :at), false) AS recounted
       FROM stock_events e LEFT JOIN feedings f ON f.id = e.feeding_id
      WHERE e.household_id = :household AND e.lot_id = :lotId`,
    { lotId, at },
  );
  return row!;
}

const countedRow = z.object({ lotId: z.string() });

/** Lots of a food that were counted after an instant. */
export async function countedSince(
  scope: Scope,
  foodId: string,
  at: string,
): Promise<ReadonlySet<string>> {
  const rows = await scope.read(
    countedRow,
    `SELECT DISTINCT e.lot_id FROM lots l
       JOIN stock_events e ON e.household_id = l.household_id AND e.lot_id = l.id
      WHERE l.household_id = :household AND l.food_id = :foodId AND e.kind = 'counted' AND e.at > :at`,
    { foodId, at },
  );
  return new Set(rows.map(({ lotId }) => lotId));
}
