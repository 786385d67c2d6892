/**
 * Feedings `f` of a span that stand. Those taken back are few, and an undo has the day of what it
 * takes back: they are gathered once, which is far less work than a look for each feeding.
 */
export const STANDING = `f.household_id = :household AND f.day BETWEEN :from AND :to
  AND f.undoes IS NULL
  AND f.id NOT IN (SELECT u.undoes FROM feedings u
                    WHERE u.household_id = :household AND u.day BETWEEN :from AND :to
                      AND u.undoes IS NOT NULL)`;
