/**
 * Young are fed as groups are: a serving goes to a group, or to a tub of a brood. Standing food is put in and
 * taken out, leftovers are taken out, and a treatment has its product and its days. A household says
 * when someone is at home.
 */
export const name = '0027-young-are-fed';

export const up = `
DROP VIEW left_of_meals;
DROP VIEW active_feedings;
ALTER TABLE feedings
  ALTER COLUMN group_id DROP NOT NULL,
  ADD COLUMN brood_id uuid,
  ADD COLUMN tub_id uuid,
  ADD FOREIGN KEY (household_id, brood_id, tub_id) REFERENCES brood_tubs (household_id, brood_id, id),
  ADD CHECK ((brood_id IS NULL) = (tub_id IS NULL)),
  ADD CHECK ((group_id IS NULL) <> (tub_id IS NULL));
CREATE INDEX feedings_tub ON feedings (household_id, brood_id, day) WHERE tub_id IS NOT NULL;

CREATE VIEW active_feedings WITH (security_invoker = true) AS
SELECT e.*, e.outcome <> 'skipped' AS dealt,
       CASE WHEN e.outcome = 'refused' THEN e.mass_g ELSE 0 END AS refused_g
  FROM feedings e
 WHERE e.undoes IS NULL
   AND NOT EXISTS (SELECT 1 FROM feedings u
                    WHERE u.household_id = e.household_id AND u.undoes = e.id
                      AND u.undoes IS NOT NULL);
CREATE VIEW left_of_meals WITH (security_invoker = true) AS
SELECT f.household_id, f.day, e.day AS seen_on, f.group_id, f.food_id, e."left" * (f.mass_g - f.refused_g) AS left_g
  FROM last_meal_observation e
  JOIN active_feedings f
    ON f.household_id = e.household_id AND f.day = e.day AND f.serving_id::text = e.key
 WHERE e."left" > 0;

DROP VIEW active_brood_events;
ALTER TABLE brood_events
  DROP CONSTRAINT brood_events_kind_check,
  -- Of a share, and of a food.
  DROP CONSTRAINT brood_events_check6,
  DROP CONSTRAINT brood_events_check7,
  ADD COLUMN product text CHECK (product IS NULL OR (length(product) BETWEEN 1 AND 60 AND kind = 'treated')),
  ADD COLUMN for_days smallint CHECK (for_days IS NULL OR (for_days BETWEEN 1 AND 60 AND kind = 'treated')),
  ADD COLUMN every_days smallint CHECK (every_days IS NULL OR (every_days BETWEEN 1 AND 30 AND kind = 'treated')),
  ADD CHECK (kind IN ('conditioned', 'paired', 'spawned', 'eggsSeen', 'parentsMoved', 'attached', 'hatched',
    'swimming', 'firstFood', 'took', 'counted', 'measured', 'moved', 'sorted', 'joined', 'lost', 'rehomed',
    'changed', 'lifted', 'placed', 'removed', 'warmth', 'treated', 'eggsBad', 'eggsEaten', 'swallowed', 'ended')),
  ADD CHECK (share IS NULL OR (share > 0 AND share <= 1 AND kind IN ('changed', 'lifted', 'eggsBad'))),
  ADD CHECK (kind NOT IN ('lifted', 'eggsBad') OR share IS NOT NULL),
  ADD CHECK (food_key IS NULL OR (length(food_key) BETWEEN 1 AND 60 AND kind IN ('took', 'placed', 'removed'))),
  ADD CHECK (kind NOT IN ('placed', 'removed') OR food_key IS NOT NULL);
CREATE VIEW active_brood_events WITH (security_invoker = true) AS
SELECT e.* FROM brood_events e
 WHERE e.undoes IS NULL
   AND NOT EXISTS (SELECT 1 FROM brood_events u
                    WHERE u.household_id = e.household_id AND u.undoes = e.id
                      AND u.undoes IS NOT NULL);

ALTER TABLE households ADD COLUMN at_home jsonb NOT NULL DEFAULT '[]';
`;
