import type { Rating, RatingCreate } from '@open-larder/contract';
import type { Scope } from '../db';
import { idUsed, notFound } from '../http/problems';

const COLUMNS = `r.id, r.group_id, g.name AS group_name, r.food_id, f.name AS food_name, r.day::text,
  r.colour, r.growth, r.note, r.hand,
  to_char(r.at AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"') AS at`;
const FROM = `ratings r
  JOIN groups g ON g.household_id = r.household_id AND g.id = r.group_id
  JOIN foods f ON f.household_id = r.household_id AND f.id = r.food_id`;
/** Ratings that stand: no undo, and not undone. */
const STANDING = `r.household_id = :household AND r.undoes IS NULL
  AND NOT EXISTS (SELECT 1 FROM ratings u WHERE u.undoes = r.id)`;

/** Ratings, newest first, before a cursor of [seq]. */
export const ratings = (
  scope: Scope,
  before: readonly (string | number)[] | null,
  limit: number,
): Promise<(Rating & { seq: number })[]> =>
  scope.rows(
    `SELECT r.seq, ${COLUMNS} FROM ${FROM}
      WHERE ${STANDING} ${before === null ? '' : 'AND r.seq < :seq'}
      ORDER BY r.seq DESC LIMIT :limit`,
    { limit, seq: before?.[0] ?? 0 },
  );

/** Ratings of the days of a span. */
export const ratingsIn = (scope: Scope, from: string, to: string): Promise<Rating[]> =>
  scope.rows(
    `SELECT ${COLUMNS} FROM ${FROM}
      WHERE ${STANDING} AND r.day BETWEEN :from AND :to ORDER BY r.day, r.seq`,
    { from, to },
  );

async function readRating(
  scope: Scope,
  id: string,
): Promise<(Rating & { undone: boolean }) | null> {
  const [row] = await scope.rows<Rating & { undone: boolean }>(
    `SELECT ${COLUMNS}, EXISTS (SELECT 1 FROM ratings u WHERE u.undoes = r.id) AS undone
       FROM ${FROM} WHERE r.household_id = :household AND r.id = :id AND r.undoes IS NULL`,
    { id },
  );
  return row ?? null;
}

/** @throws ProblemError 404 where there is no such group or food, 409 where the id is used already */
export async function addRating(scope: Scope, rated: RatingCreate): Promise<Rating> {
  const [known] = await scope.rows<{ group: boolean; food: boolean }>(
    `SELECT EXISTS (SELECT 1 FROM groups WHERE household_id = :household AND id = :groupId) AS "group",
            EXISTS (SELECT 1 FROM foods WHERE household_id = :household AND id = :foodId) AS food`,
    { groupId: rated.groupId, foodId: rated.foodId },
  );
  if (!known?.group) throw notFound('This group');
  if (!known.food) throw notFound('This food');
  await scope.insertOnce('ratings', [{ ...rated }]);
  const made = await readRating(scope, rated.id);
  if (!made) throw idUsed();
  const { undone: _, ...rating } = made;
  return rating;
}

/** Take a rating back; a second time changes nothing. */
export async function undoRating(
  scope: Scope,
  id: string,
  undo: { id: string; at: string },
): Promise<Rating> {
  await scope.lock(`rating ${id}`);
  const known = await readRating(scope, id);
  if (!known) throw notFound('This rating');
  const { undone, ...rating } = known;
  const { groupName: _, foodName: __, ...row } = rating;
  if (!undone) await scope.insert('ratings', [{ ...row, ...undo, undoes: id }]);
  return rating;
}
