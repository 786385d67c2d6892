import { unitOf, type Feeding, type FeedingCreate } from '@open-larder/contract';
import { drawDown } from '@open-larder/core';
import { refuseFeedingBefore, refuseFeedingEnded, refuseServing } from '@open-larder/say/refusal';
import { v7 as uuidv7 } from 'uuid';
import { returnToVessels } from '../culture/acts';
import type { Clock } from '../clock';
import { AT, eventLog, type Scope } from '../db';
import { countedSince, openLots, readFood } from '../food/store';
import { refuseFuture } from '../household/ahead';
import { conflict, invalid, notFound, type ProblemError } from '../http/problems';
import { z } from 'zod';

const COLUMNS = `e.id, e.serving_id, e.day::text, e.group_id, e.brood_id, e.tub_id, e.food_id, e.outcome,
  e.planned_units, e.units, e.mass_g, e.note, e.hand, ${AT}`;
const FEEDINGS = eventLog<Feeding>({
  table: 'feedings',
  what: 'This feeding',
  columns: COLUMNS,
});
const TO_TUBS = eventLog<Feeding & { tubId: string; broodId: string; proteinG: number }>({
  table: 'feedings',
  what: 'This feeding',
  columns: `${COLUMNS}, (e.mass_g - e.refused_g) * f.protein AS protein_g`,
  joins: 'JOIN foods f ON f.household_id = e.household_id AND f.id = e.food_id',
});

/** What groups were fed on a day. */
export const feedingsOn = (scope: Scope, day: string): Promise<Feeding[]> =>
  FEEDINGS.list(scope, 'e.day = :day AND e.tub_id IS NULL ORDER BY e.id', { day });

/** What the young in tubs were fed from a day on, with the protein in it, g. */
export const fedToTubs = (
  scope: Scope,
  from: string,
): Promise<(Feeding & { tubId: string; broodId: string; proteinG: number })[]> =>
  TO_TUBS.list(scope, 'e.day >= :from AND e.tub_id IS NOT NULL ORDER BY e.id', { from });

/** What was fed, newest first, before a cursor of [day, id]. */
export const feedings = (
  scope: Scope,
  before: readonly (string | number)[] | null,
  limit: number,
): Promise<Feeding[]> =>
  FEEDINGS.list(
    scope,
    `${before === null ? 'true' : '(e.day, e.id) < (:day, :id)'}
     ORDER BY e.day DESC, e.id DESC LIMIT :limit`,
    { limit, day: before?.[0] ?? null, id: before?.[1] ?? null },
  );

/** Grams are kept to the millionth. */
const asStored = (grams: number): number => Number(grams.toFixed(6));

/** More than this at once is a slip of the finger, or of a unit. Assumption: half a kilogram. */
const MAX_G = 500;

/**
 * Write a feeding once and take its food from the shelf, what expires first before the rest.
 * The same id sent again changes nothing.
 * @returns the feeding, and the grams that the shelf did not have
 * @throws ProblemError 409 where this serving was logged already, by whatever phone; 422 for a group
 *   that had ended, for a day that has not come, or for more than anyone feeds at once
 */
export async function logFeeding(
  scope: Scope,
  clock: Clock,
  fed: FeedingCreate,
): Promise<{ feeding: Feeding; shortG: number }> {
  await scope.lock(`serving ${fed.servingId} ${fed.day}`);
  await scope.lock(`food ${fed.foodId}`);
  const { id, day, servingId } = fed;
  const same = '(e.id = :id OR (e.serving_id = :servingId AND e.day = :day))';
  // One round trip, and the writes go with COMMIT: the next serving of this food waits until then.
  const { prepared } = scope;
  const [before, early, refused, food, counted] = await Promise.all([
    FEEDINGS.among(prepared, same, { id, day, servingId }),
    refuseFuture(prepared, clock, fed, 'log a serving on its day'),
    fed.groupId === null ? refuseTub(prepared, fed) : refuseGroup(prepared, fed, fed.groupId),
    readFood(prepared, fed.foodId),
    countedSince(prepared, fed.foodId, fed.at),
  ]);
  const known = before.find((one) => one.id === id);
  if (known) {
    return { feeding: withoutUndone(known), shortG: 0 };
  }
  const already = before.find(({ undone }) => !undone);
  if (already)
    throw conflict('This serving was logged already. Undo that one first.', withoutUndone(already));
  if (early ?? refused) throw early ?? refused;
  if (!food) throw notFound('This food');
  const massG = asStored(fed.units * unitOf(food, fed.hand).massG);
  if (massG > MAX_G) {
    throw invalid('units', refuseServing({ massG, foodName: food.name, unitName: food.unit.name }));
  }
  const keeping = { day: fed.day, openedDays: food.keeps.openedDays };
  // A lot that was counted since then had lost it already: it is in the count.
  const lots = food.lots.map((lot) =>
    counted.has(lot.id) ? { ...lot, remainingG: Math.max(lot.remainingG, massG) } : lot,
  );
  const { draws, shortG } = drawDown(lots, massG, keeping);
  const feeding: Feeding = { ...fed, massG, at: new Date(fed.at).toISOString() };
  scope.insertAhead('feedings', [feeding]);
  scope.insertAhead(
    'stock_events',
    draws
      .filter(({ lotId }) => !counted.has(lotId))
      .map((draw) => ({
        id: uuidv7(),
        lotId: draw.lotId,
        kind: 'drawn',
        deltaG: -draw.massG,
        day: fed.day,
        feedingId: fed.id,
      })),
  );
  openLots(scope, food.lots, draws, fed.day);
  return { feeding, shortG };
}

const withoutUndone = ({ undone: _, ...feeding }: Feeding & { undone: boolean }): Feeding =>
  feeding;

type Refused = Promise<ProblemError | null>;

const tubRow = z.object({ id: z.string() });
const groupRow = z.object({
  name: z.string(),
  endedOn: z.string().nullable(),
  cameOn: z.string().nullable(),
});

/** 404 where there is no such tub of that brood. */
async function refuseTub(scope: Scope, { broodId, tubId }: FeedingCreate): Refused {
  const [tub] = await scope.read(
    tubRow,
    `SELECT t.id FROM brood_tubs t
      WHERE t.household_id = :household AND t.brood_id = :broodId AND t.id = :tubId`,
    { broodId, tubId },
  );
  return tub ? null : notFound('This tub');
}

/** 404 where there is no such group, 422 on a day before it came or after it ended. */
async function refuseGroup(scope: Scope, fed: FeedingCreate, groupId: string): Refused {
  const [group] = await scope.read(
    groupRow,
    `SELECT g.name, g.ended_on::text,
            (SELECT min(lower(s.during))::text FROM stays s
              WHERE s.household_id = g.household_id AND s.group_id = g.id) AS came_on
       FROM groups g WHERE g.household_id = :household AND g.id = :groupId`,
    { groupId },
  );
  if (!group) return notFound('This group');
  if (group.endedOn !== null && group.endedOn < fed.day) {
    return invalid('groupId', refuseFeedingEnded({ name: group.name, day: group.endedOn }));
  }
  if (group.cameOn !== null && fed.day < group.cameOn) {
    return invalid('day', refuseFeedingBefore({ name: group.name, day: group.cameOn }));
  }
  return null;
}

/**
 * Take a feeding back: a correcting event, and the food returns to the lots that it came from.
 * A second undo of the same feeding changes nothing.
 */
export const undoFeeding = (
  scope: Scope,
  id: string,
  undo: { id: string; at: string },
): Promise<Feeding> =>
  FEEDINGS.undo(scope, id, undo, async ({ foodId, day }) => {
    await scope.lock(`food ${foodId}`);
    await returnToVessels(scope, id, undo.at);
    const draws = await scope.read(
      z.object({ lotId: z.string(), deltaG: z.number() }),
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
        day,
        feedingId: id,
      })),
    );
  });
