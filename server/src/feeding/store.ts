import { unitOf, type Feeding, type FeedingCreate } from '@open-larder/contract';
import { drawDown, sayGrams } from '@open-larder/core';
import { v7 as uuidv7 } from 'uuid';
import { returnToVessels } from '../culture/acts';
import type { Scope } from '../db';
import { openLots, readFood } from '../food/store';
import { conflict, idUsed, notFound, refused } from '../http/problems';

const COLUMNS = `f.id, f.serving_id, f.day::text, f.group_id, f.food_id, f.outcome,
  f.planned_units, f.units, f.mass_g, f.note, f.hand, to_char(f.at AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"') AS at`;
/** Feedings that stand: no undo, and not undone. */
const STANDING = `f.household_id = :household AND f.undoes IS NULL
  AND NOT EXISTS (SELECT 1 FROM feedings u WHERE u.undoes = f.id)`;

async function readFeeding(scope: Scope, id: string): Promise<Feeding | null> {
  const [row] = await scope.rows<Feeding>(
    `SELECT ${COLUMNS} FROM feedings f WHERE f.household_id = :household AND f.id = :id AND f.undoes IS NULL`,
    { id },
  );
  return row ?? null;
}

/** Standing feedings of a day. */
export function feedingsOn(scope: Scope, day: string): Promise<Feeding[]> {
  return scope.rows<Feeding>(
    `SELECT ${COLUMNS} FROM feedings f WHERE ${STANDING} AND f.day = :day ORDER BY f.id`,
    { day },
  );
}

/** Standing feedings, newest first, before a cursor of [day, id]. */
export function feedings(
  scope: Scope,
  before: readonly (string | number)[] | null,
  limit: number,
): Promise<Feeding[]> {
  return scope.rows<Feeding>(
    `SELECT ${COLUMNS} FROM feedings f
      WHERE ${STANDING} ${before === null ? '' : 'AND (f.day, f.id) < (:day, :id)'}
      ORDER BY f.day DESC, f.id DESC LIMIT :limit`,
    { limit, day: before?.[0] ?? null, id: before?.[1] ?? null },
  );
}

/** More than this at once is a slip of the finger, or of a unit. Assumption: half a kilogram. */
const MOST_G = 500;

/**
 * Write a feeding once and take its food from the shelf, what expires first before the rest.
 * The same id sent again changes nothing.
 * @returns the feeding, and the grams that the shelf did not have
 * @throws ProblemError 409 where this serving was logged already, by whatever phone; 422 for a group
 *   that had ended, or for more than anyone feeds at once
 */
export async function logFeeding(
  scope: Scope,
  fed: FeedingCreate,
): Promise<{ feeding: Feeding; shortG: number }> {
  await scope.lock(`serving ${fed.servingId} ${fed.day}`);
  const known = await readFeeding(scope, fed.id);
  if (known) return { feeding: known, shortG: 0 };
  const [already] = await scope.rows<Feeding>(
    `SELECT ${COLUMNS} FROM feedings f
      WHERE ${STANDING} AND f.day = :day AND f.serving_id = :servingId`,
    { day: fed.day, servingId: fed.servingId },
  );
  if (already) throw conflict('This serving was logged already. Undo that one first.', already);
  const [group] = await scope.rows<{ name: string; endedOn: string | null; cameOn: string | null }>(
    `SELECT g.name, g.ended_on::text,
            (SELECT min(lower(s.during))::text FROM stays s
              WHERE s.household_id = g.household_id AND s.group_id = g.id) AS came_on
       FROM groups g WHERE g.household_id = :household AND g.id = :groupId`,
    { groupId: fed.groupId },
  );
  if (!group) throw notFound('This group');
  if (group.endedOn !== null && group.endedOn < fed.day) {
    throw refused(
      'groupId',
      `${group.name} ended on ${group.endedOn}: nothing can be fed to it then`,
    );
  }
  if (group.cameOn !== null && fed.day < group.cameOn) {
    throw refused('day', `${group.name} came on ${group.cameOn}: nothing was fed to it before`);
  }
  await scope.lock(`food ${fed.foodId}`);
  const food = await readFood(scope, fed.foodId);
  if (!food) throw notFound('This food');
  const massG = fed.units * unitOf(food, fed.hand).massG;
  if (massG > MOST_G) {
    throw refused(
      'units',
      `that is ${sayGrams(massG)} of ${food.name} at once: check the amount, and what one ${food.unit.name} weighs`,
    );
  }
  const keeping = { day: fed.day, openedDays: food.keeps.openedDays };
  const { draws, shortG } = drawDown(food.lots, massG, keeping);
  await scope.insert('feedings', [{ ...fed, massG }]);
  await scope.insert(
    'stock_events',
    draws.map((draw) => ({
      id: uuidv7(),
      lotId: draw.lotId,
      kind: 'drawn',
      deltaG: -draw.massG,
      day: fed.day,
      feedingId: fed.id,
    })),
  );
  await openLots(scope, food.lots, draws, fed.day);
  const feeding = await readFeeding(scope, fed.id);
  if (!feeding) throw idUsed();
  return { feeding, shortG };
}

/**
 * Take a feeding back: a correcting event, and the food returns to the lots that it came from.
 * A second undo of the same feeding changes nothing.
 */
export async function undoFeeding(
  scope: Scope,
  id: string,
  undo: { id: string; at: string },
): Promise<Feeding> {
  await scope.lock(`undo ${id}`);
  const fed = await readFeeding(scope, id);
  if (!fed) throw notFound('This feeding');
  const undone = await scope.rows(
    'SELECT id FROM feedings WHERE household_id = :household AND undoes = :id',
    { id },
  );
  if (undone.length > 0) return fed;
  await scope.lock(`food ${fed.foodId}`);
  await scope.insert('feedings', [{ ...fed, id: undo.id, at: undo.at, undoes: id }]);
  await returnToVessels(scope, id, undo.at);
  const draws = await scope.rows<{ lotId: string; deltaG: number }>(
    `SELECT lot_id, delta_g FROM stock_events
      WHERE household_id = :household AND feeding_id = :id AND kind = 'drawn'`,
    { id },
  );
  await scope.insert(
    'stock_events',
    draws.map((draw) => ({
      id: uuidv7(),
      lotId: draw.lotId,
      kind: 'returned',
      deltaG: -draw.deltaG,
      day: fed.day,
      feedingId: id,
    })),
  );
  return fed;
}
