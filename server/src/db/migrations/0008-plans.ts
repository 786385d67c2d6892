/** What is planned for a tank as a whole: its cycle, its fasts, and the choices that it is made by. */
export const name = '0008-plans';

export const up = `
CREATE TABLE tank_plans (
  household_id uuid NOT NULL,
  tank_id uuid NOT NULL,
  version integer NOT NULL CHECK (version > 0),
  valid_from date NOT NULL,
  cycle_days smallint NOT NULL CHECK (cycle_days BETWEEN 1 AND 28),
  cycle_from date NOT NULL,
  -- Null takes what suits the fish.
  school jsonb CHECK (jsonb_typeof(school) IN ('object', 'null')),
  fasts jsonb NOT NULL CHECK (jsonb_typeof(fasts) = 'array'),
  recorded_at timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (household_id, tank_id, version),
  FOREIGN KEY (household_id, tank_id) REFERENCES tanks (household_id, id)
);
CREATE TRIGGER tank_plans_append BEFORE UPDATE OR DELETE ON tank_plans
  FOR EACH ROW EXECUTE FUNCTION forbid_change();

ALTER TABLE diets ADD COLUMN rules jsonb NOT NULL DEFAULT '[]'
  CHECK (jsonb_typeof(rules) = 'array');

-- Servings stand on days of the tank's cycle; those of a week are the weekdays that they were.
ALTER TABLE diet_servings RENAME COLUMN weekdays TO days;
ALTER TABLE diet_servings DROP CONSTRAINT diet_servings_weekdays_check;
ALTER TABLE diet_servings ADD CHECK (cardinality(days) BETWEEN 1 AND 28);
`;
