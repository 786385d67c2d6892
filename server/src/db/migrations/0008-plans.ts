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
  -- How the water is changed; null where nobody said.
  water jsonb CHECK (jsonb_typeof(water) IN ('object', 'null')),
  recorded_at timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (household_id, tank_id, version),
  FOREIGN KEY (household_id, tank_id) REFERENCES tanks (household_id, id)
);
CREATE TRIGGER tank_plans_append BEFORE UPDATE OR DELETE ON tank_plans
  FOR EACH ROW EXECUTE FUNCTION forbid_change();

-- Minutes that the keeper has at a moment; null where nobody said.
ALTER TABLE moments ADD COLUMN spare_min numeric CHECK (spare_min BETWEEN 1 AND 600);

-- A keeper's own starting plans: lines of a diet that fit any group, since amounts are computed.
CREATE TABLE starting_plans (
  id uuid PRIMARY KEY,
  household_id uuid NOT NULL REFERENCES households,
  name text NOT NULL CHECK (length(name) BETWEEN 1 AND 60),
  lines jsonb NOT NULL CHECK (jsonb_typeof(lines) = 'array'),
  version integer NOT NULL DEFAULT 1 CHECK (version > 0),
  archived boolean NOT NULL DEFAULT false,
  UNIQUE (household_id, id)
);

ALTER TABLE diets ADD COLUMN rules jsonb NOT NULL DEFAULT '[]'
  CHECK (jsonb_typeof(rules) = 'array');

-- Servings stand on days of the tank's cycle; those of a week are the weekdays that they were.
ALTER TABLE diet_servings RENAME COLUMN weekdays TO days;
ALTER TABLE diet_servings DROP CONSTRAINT diet_servings_weekdays_check;
ALTER TABLE diet_servings ADD CHECK (cardinality(days) BETWEEN 1 AND 28);
`;
