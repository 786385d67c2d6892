import type { Rating, RatingCreate } from '@open-larder/contract';
import { AT, eventLog, type Scope } from '../db';
import { notFound } from '../http/problems';
import { z } from 'zod';

const RATINGS = eventLog<Rating>({
  table: 'ratings',
  what: 'This rating',
  columns: `e.id, e.group_id, g.name AS group_name, e.food_id, f.name AS food_name, e.day::text,
    e.colour, e.growth, e.note, e.hand, ${AT}`,
  joins: `JOIN groups g ON g.household_id = e.household_id AND g.id = e.group_id
    JOIN foods f ON f.household_id = e.household_id AND f.id = e.food_id`,
  joined: ['groupName', 'foodName'],
});

/** Ratings, newest first, before a cursor of [seq]. */
export const ratings = (
  scope: Scope,
  before: readonly (string | number)[] | null,
  limit: number,
): Promise<(Rating & { seq: number })[]> => RATINGS.page(scope, 'seq', { before, limit });

/** Ratings of the days of a span. */
export const ratingsIn = (scope: Scope, from: string, to: string): Promise<Rating[]> =>
  RATINGS.list(scope, 'e.day BETWEEN :from AND :to ORDER BY e.day, e.seq', { from, to });

/** @throws ProblemError 404 where there is no such group or food, 409 where the id is used already */
export async function addRating(scope: Scope, rated: RatingCreate): Promise<Rating> {
  const [known] = await scope.read(
    z.object({ group: z.boolean(), food: z.boolean() }),
    `SELECT EXISTS (SELECT 1 FROM groups WHERE household_id = :household AND id = :groupId) AS "group",
            EXISTS (SELECT 1 FROM foods WHERE household_id = :household AND id = :foodId) AS food`,
    { groupId: rated.groupId, foodId: rated.foodId },
  );
  if (!known?.group) throw notFound('This group');
  if (!known.food) throw notFound('This food');
  return RATINGS.append(scope, { ...rated });
}

/** Take a rating back; a second time changes nothing. */
export const undoRating = RATINGS.undo;
