/**
 * A look at one food of a meal says nothing of the others; and a meal that is no longer watched is
 * known to be so on every device. What became of each drop is read in one place.
 */
export const name = '0019-meal-ends';

export const up = `
ALTER TABLE sightings
  ADD COLUMN drop_keys jsonb CHECK (jsonb_typeof(drop_keys) = 'array'),
  ADD COLUMN unwatched boolean NOT NULL DEFAULT false;
CREATE INDEX sightings_day ON sightings (household_id, day);

-- What was said last of each drop of a meal: gone, left, or not watched. A look at who came ends nothing.
CREATE VIEW meal_ends AS
SELECT DISTINCT ON (s.household_id, s.day, s.tank_id, s.moment_id, drop->>'key')
       s.household_id, s.day, s.tank_id, s.moment_id, drop->>'key' AS key, drop,
       s.id AS sighting_id, s.cleared_min, s."left", s.unwatched, s.recorded_at
  FROM sightings s, jsonb_array_elements(s.drops) AS drop
 WHERE s.undoes IS NULL
   AND NOT EXISTS (SELECT 1 FROM sightings u WHERE u.undoes = s.id)
   AND (s.cleared_min IS NOT NULL OR s."left" IS NOT NULL OR s.unwatched)
   AND (s.drop_keys IS NULL OR jsonb_exists(s.drop_keys, drop->>'key'))
 ORDER BY s.household_id, s.day, s.tank_id, s.moment_id, drop->>'key', s.seq DESC;
`;
