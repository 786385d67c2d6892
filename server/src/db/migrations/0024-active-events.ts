/**
 * What is in force of each event log, as a view: neither an undo, nor undone. Every reader uses it, so
 * that what was taken back is left out everywhere alike. A migration that adds a column to a log makes
 * its view anew.
 */
export const name = '0024-active-events';

export const LOGS = [
  'feedings',
  'weighings',
  'batches',
  'sightings',
  'chores',
  'looks',
  'answers',
  'vessel_events',
  'brood_events',
  'water_events',
  'ratings',
] as const;

/** What a view says beside the log's own columns: how an outcome counts is said here alone. */
const BESIDE: Partial<Record<(typeof LOGS)[number], string>> = {
  feedings: `, e.outcome <> 'skipped' AS dealt,
       CASE WHEN e.outcome = 'refused' THEN e.mass_g ELSE 0 END AS refused_g`,
};

// Undos are few: the small index of them is read whole where many events are.
export const up = `${LOGS.map(
  (log) => `
CREATE INDEX ${log}_undos ON ${log} (household_id, undoes) WHERE undoes IS NOT NULL;
CREATE VIEW active_${log} WITH (security_invoker = true) AS
SELECT e.*${BESIDE[log] ?? ''} FROM ${log} e
 WHERE e.undoes IS NULL
   AND NOT EXISTS (SELECT 1 FROM ${log} u
                    WHERE u.household_id = e.household_id AND u.undoes = e.id
                      AND u.undoes IS NOT NULL);`,
).join('')}

-- What was said last of each drop of a meal, gone, left, or not watched: now over what is in force.
DROP VIEW meal_ends;
CREATE VIEW last_meal_observation WITH (security_invoker = true) AS
SELECT DISTINCT ON (s.household_id, s.day, s.tank_id, s.moment_id, drop->>'key')
       s.household_id, s.day, s.tank_id, s.moment_id, drop->>'key' AS key, drop,
       s.id AS sighting_id, s.cleared_min, s."left", s.unwatched, s.recorded_at
  FROM active_sightings s, jsonb_array_elements(s.drops) AS drop
 WHERE (s.cleared_min IS NOT NULL OR s."left" IS NOT NULL OR s.unwatched)
   AND (s.drop_keys IS NULL OR jsonb_exists(s.drop_keys, drop->>'key'))
 ORDER BY s.household_id, s.day, s.tank_id, s.moment_id, drop->>'key', s.seq DESC;

-- Grams that were left of what was fed, by the last look at it. A meal that was taken back, or never
-- logged, leaves nothing. Both are of one day; a span is asked for of both, so that neither side of the
-- join is read whole.
CREATE VIEW left_of_meals WITH (security_invoker = true) AS
SELECT f.household_id, f.day, e.day AS seen_on, f.group_id, f.food_id, e."left" * (f.mass_g - f.refused_g) AS left_g
  FROM last_meal_observation e
  JOIN active_feedings f
    ON f.household_id = e.household_id AND f.day = e.day AND f.serving_id::text = e.key
 WHERE e."left" > 0;

-- Which groups came to a meal, by the last look that says so.
CREATE VIEW last_meal_arrivals WITH (security_invoker = true) AS
SELECT DISTINCT ON (s.household_id, s.day, s.tank_id, s.moment_id)
       s.household_id, s.day, s.tank_id, s.moment_id, s.came
  FROM active_sightings s
 WHERE s.came <> '[]'::jsonb
 ORDER BY s.household_id, s.day, s.tank_id, s.moment_id, s.seq DESC;
`;
