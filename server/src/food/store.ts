import type { BodyOf, FoodRow, LotRow } from '@open-larder/contract';
import { v7 as uuidv7 } from 'uuid';
import type { Scope } from '../db';

interface FlatFood {
  id: string;
  name: string;
  family: FoodRow['family'];
  kind: FoodRow['kind'];
  form: FoodRow['form'];
  protein: number;
  fat: number;
  fibre: number;
  ash: number;
  moisture: number;
  plantShare: number;
  unitName: string;
  unitPlural: string;
  unitMassG: number;
  unitStep: number;
  version: number;
  archived: boolean;
}

const FOOD = `id, name, family, kind, form, protein, fat, fibre, ash, moisture, plant_share,
  unit_name, unit_plural, unit_mass_g, unit_step, version, archived`;
const LOT = `id, food_id, amount_g, remaining_g, cost_minor, bought_on::text, opened_on::text,
  best_before::text, version`;

/** A food's fields as the columns of its row. */
export function foodColumns(food: Omit<BodyOf<'createFood'>, 'id' | 'lot'>) {
  const { name, family, kind, form, composition, plantShare, unit } = food;
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
  const rows = await scope.rows<FlatFood>(
    `SELECT ${FOOD} FROM foods WHERE household_id = :household AND id = :id`,
    { id },
  );
  return (await withLots(scope, rows))[0] ?? null;
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

async function withLots(scope: Scope, rows: readonly FlatFood[]): Promise<FoodRow[]> {
  if (rows.length === 0) return [];
  const lots = await scope.rows<LotRow>(
    `SELECT ${LOT} FROM lots WHERE household_id = :household AND food_id IN (:ids) ORDER BY id`,
    { ids: rows.map((row) => row.id) },
  );
  const byFood = new Map<string, LotRow[]>(rows.map((row) => [row.id, []]));
  for (const lot of lots) byFood.get(lot.foodId)?.push(lot);
  return rows.map((row) => {
    const own = byFood.get(row.id) ?? [];
    const { id, name, family, kind, form, plantShare, version, archived } = row;
    const { protein, fat, fibre, ash, moisture } = row;
    return {
      id,
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
      version,
      archived,
      lots: own,
      remainingG: own.reduce((sum, lot) => sum + lot.remainingG, 0),
    };
  });
}
