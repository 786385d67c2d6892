import type { Scope } from '../db';

/** At most this share left at the end says that the rest was eaten. */
const LEFT_MOST = 0.5;

/**
 * Foods that groups were seen to eat, with the first day: meals that went in for them and were gone,
 * or mostly so, where no other group lived in the tank, where all of the group came to it, or where
 * it was fed apart.
 */
export const seenEaten = (
  scope: Scope,
  which: readonly string[] | null,
): Promise<{ groupId: string; foodId: string; day: string }[]> =>
  scope.rows(
    `SELECT e.drop->>'groupId' AS group_id, e.drop->>'foodId' AS food_id, min(e.day)::text AS day
       FROM last_meal_observation e
      WHERE e.household_id = :household AND NOT e.unwatched
        AND (e.cleared_min IS NOT NULL OR e."left" <= :leftMost)
        ${which === null ? '' : "AND e.drop->>'groupId' IN (:which)"}
        AND (e.drop->'manner'->>'apart' = 'true'
          OR NOT EXISTS (
               SELECT 1 FROM stays o
                WHERE o.household_id = e.household_id AND o.tank_id = e.tank_id
                  AND o.during @> e.day AND o.group_id::text <> e.drop->>'groupId')
          OR EXISTS (
               SELECT 1 FROM active_sightings s
                WHERE s.household_id = e.household_id AND s.day = e.day
                  AND s.tank_id = e.tank_id AND s.moment_id = e.moment_id
                  AND s.came @> jsonb_build_array(
                        jsonb_build_object('groupId', e.drop->>'groupId', 'share', 1))))
      GROUP BY 1, 2 ORDER BY 3, 2`,
    { which, leftMost: LEFT_MOST },
  );
