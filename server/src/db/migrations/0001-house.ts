/**
 * The first shape of the house. Every table carries its household, and every reference repeats it,
 * so that a row can never point into another household. What happened is append-only.
 */
export const name = '0001-house';

export const up = `
CREATE EXTENSION IF NOT EXISTS btree_gist;

CREATE FUNCTION forbid_change() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  RAISE EXCEPTION 'rows of % are events: write a correcting one', TG_TABLE_NAME
    USING ERRCODE = 'restrict_violation';
END $$;

CREATE TABLE households (
  id uuid PRIMARY KEY,
  key text NOT NULL UNIQUE,
  name text NOT NULL CHECK (length(name) BETWEEN 1 AND 60),
  time_zone text NOT NULL,
  units text NOT NULL CHECK (units IN ('metric', 'us')),
  clock text NOT NULL CHECK (clock IN ('24', '12')),
  week_start smallint NOT NULL CHECK (week_start IN (1, 7)),
  currency text NOT NULL CHECK (currency ~ '^[A-Z]{3}$'),
  version integer NOT NULL DEFAULT 1 CHECK (version > 0)
);

CREATE TABLE moments (
  id uuid PRIMARY KEY,
  household_id uuid NOT NULL REFERENCES households,
  name text NOT NULL CHECK (length(name) BETWEEN 1 AND 60),
  anchor text NOT NULL CHECK (anchor IN ('clock', 'lightsOn', 'lightsOff')),
  minutes integer NOT NULL CHECK (minutes BETWEEN -360 AND 1439),
  version integer NOT NULL DEFAULT 1 CHECK (version > 0),
  archived boolean NOT NULL DEFAULT false,
  UNIQUE (household_id, id)
);

CREATE TABLE tanks (
  id uuid PRIMARY KEY,
  household_id uuid NOT NULL REFERENCES households,
  name text NOT NULL CHECK (length(name) BETWEEN 1 AND 60),
  length_cm numeric CHECK (length_cm BETWEEN 3 AND 1000),
  width_cm numeric CHECK (width_cm BETWEEN 3 AND 1000),
  height_cm numeric CHECK (height_cm BETWEEN 3 AND 1000),
  water_level_cm numeric CHECK (water_level_cm BETWEEN 1 AND 1000),
  litres numeric CHECK (litres BETWEEN 0.2 AND 50000),
  temp_c numeric NOT NULL CHECK (temp_c BETWEEN 0 AND 40),
  ph numeric CHECK (ph BETWEEN 3 AND 11),
  light_on_min smallint NOT NULL CHECK (light_on_min BETWEEN 0 AND 1439),
  light_off_min smallint NOT NULL CHECK (light_off_min BETWEEN 0 AND 1439),
  walk_order integer NOT NULL CHECK (walk_order BETWEEN 1 AND 9999),
  version integer NOT NULL DEFAULT 1 CHECK (version > 0),
  archived boolean NOT NULL DEFAULT false,
  UNIQUE (household_id, id),
  CHECK (litres IS NOT NULL OR (length_cm IS NOT NULL AND width_cm IS NOT NULL AND height_cm IS NOT NULL)),
  CHECK (water_level_cm IS NULL OR height_cm IS NULL OR water_level_cm <= height_cm)
);
CREATE INDEX tanks_walk ON tanks (household_id, walk_order, id);

CREATE TABLE groups (
  id uuid PRIMARY KEY,
  household_id uuid NOT NULL REFERENCES households,
  name text NOT NULL CHECK (length(name) BETWEEN 1 AND 60),
  species_key text NOT NULL,
  version integer NOT NULL DEFAULT 1 CHECK (version > 0),
  -- The day from which the group is no more; its past stays readable.
  ended_on date,
  UNIQUE (household_id, id)
);

CREATE TABLE stays (
  id uuid PRIMARY KEY,
  household_id uuid NOT NULL,
  group_id uuid NOT NULL,
  tank_id uuid NOT NULL,
  during daterange NOT NULL CHECK (NOT isempty(during)),
  FOREIGN KEY (household_id, group_id) REFERENCES groups (household_id, id),
  FOREIGN KEY (household_id, tank_id) REFERENCES tanks (household_id, id),
  EXCLUDE USING gist (group_id WITH =, during WITH &&)
);
CREATE INDEX stays_tank ON stays (household_id, tank_id);

CREATE TABLE group_events (
  id uuid PRIMARY KEY,
  seq bigint GENERATED ALWAYS AS IDENTITY,
  household_id uuid NOT NULL,
  group_id uuid NOT NULL,
  kind text NOT NULL CHECK (kind IN ('arrived', 'counted', 'died', 'measured', 'staged')),
  day date NOT NULL,
  males integer CHECK (males >= 0),
  females integer CHECK (females >= 0),
  unsexed integer CHECK (unsexed >= 0),
  length_cm numeric CHECK (length_cm BETWEEN 0.1 AND 200),
  stage text,
  recorded_at timestamptz NOT NULL DEFAULT now(),
  FOREIGN KEY (household_id, group_id) REFERENCES groups (household_id, id),
  CHECK ((kind IN ('arrived', 'counted', 'died')) =
         (males IS NOT NULL AND females IS NOT NULL AND unsexed IS NOT NULL)),
  CHECK ((kind = 'measured') = (length_cm IS NOT NULL)),
  CHECK ((kind = 'staged') = (stage IS NOT NULL))
);
CREATE INDEX group_events_group ON group_events (household_id, group_id, day, seq);
CREATE TRIGGER group_events_append BEFORE UPDATE OR DELETE ON group_events
  FOR EACH ROW EXECUTE FUNCTION forbid_change();

CREATE TABLE foods (
  id uuid PRIMARY KEY,
  household_id uuid NOT NULL REFERENCES households,
  name text NOT NULL CHECK (length(name) BETWEEN 1 AND 60),
  family text NOT NULL,
  kind text NOT NULL,
  form text NOT NULL,
  protein numeric NOT NULL CHECK (protein BETWEEN 0 AND 1),
  fat numeric NOT NULL CHECK (fat BETWEEN 0 AND 1),
  fibre numeric NOT NULL CHECK (fibre BETWEEN 0 AND 1),
  ash numeric NOT NULL CHECK (ash BETWEEN 0 AND 1),
  moisture numeric NOT NULL CHECK (moisture BETWEEN 0 AND 1),
  plant_share numeric NOT NULL CHECK (plant_share BETWEEN 0 AND 1),
  unit_name text NOT NULL,
  unit_plural text NOT NULL,
  unit_mass_g numeric NOT NULL CHECK (unit_mass_g > 0),
  unit_step numeric NOT NULL CHECK (unit_step > 0),
  version integer NOT NULL DEFAULT 1 CHECK (version > 0),
  archived boolean NOT NULL DEFAULT false,
  UNIQUE (household_id, id),
  CHECK (protein + fat + fibre + ash + moisture <= 1.0001)
);

CREATE TABLE lots (
  id uuid PRIMARY KEY,
  household_id uuid NOT NULL,
  food_id uuid NOT NULL,
  amount_g numeric(14,6) NOT NULL CHECK (amount_g > 0),
  -- Kept in step with stock_events by a trigger, so that a write need not sum years of events.
  remaining_g numeric(14,6) NOT NULL DEFAULT 0,
  cost_minor integer CHECK (cost_minor >= 0),
  bought_on date NOT NULL,
  opened_on date,
  best_before date,
  version integer NOT NULL DEFAULT 1 CHECK (version > 0),
  UNIQUE (household_id, id),
  FOREIGN KEY (household_id, food_id) REFERENCES foods (household_id, id),
  CHECK (best_before IS NULL OR best_before >= bought_on)
);
CREATE INDEX lots_food ON lots (household_id, food_id);

CREATE TABLE diets (
  household_id uuid NOT NULL,
  group_id uuid NOT NULL,
  version integer NOT NULL CHECK (version > 0),
  valid_from date NOT NULL,
  fast_weekdays smallint[] NOT NULL,
  goal_factor numeric CHECK (goal_factor BETWEEN 0 AND 10),
  recorded_at timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (household_id, group_id, version),
  FOREIGN KEY (household_id, group_id) REFERENCES groups (household_id, id)
);
CREATE TRIGGER diets_append BEFORE UPDATE OR DELETE ON diets
  FOR EACH ROW EXECUTE FUNCTION forbid_change();

CREATE TABLE diet_servings (
  household_id uuid NOT NULL,
  group_id uuid NOT NULL,
  version integer NOT NULL,
  position smallint NOT NULL,
  id uuid NOT NULL,
  food_id uuid NOT NULL,
  moment_id uuid NOT NULL,
  zone text NOT NULL CHECK (zone IN ('surface', 'mid', 'bottom', 'film')),
  place text NOT NULL,
  weekdays smallint[] NOT NULL CHECK (cardinality(weekdays) BETWEEN 1 AND 7),
  weight numeric NOT NULL CHECK (weight > 0),
  own_units numeric CHECK (own_units > 0),
  PRIMARY KEY (household_id, group_id, version, id),
  FOREIGN KEY (household_id, group_id, version) REFERENCES diets (household_id, group_id, version),
  FOREIGN KEY (household_id, food_id) REFERENCES foods (household_id, id),
  FOREIGN KEY (household_id, moment_id) REFERENCES moments (household_id, id)
);
CREATE TRIGGER diet_servings_append BEFORE UPDATE OR DELETE ON diet_servings
  FOR EACH ROW EXECUTE FUNCTION forbid_change();

CREATE TABLE feedings (
  id uuid PRIMARY KEY,
  household_id uuid NOT NULL,
  -- A row either says that something was fed, or takes exactly one such row back.
  undoes uuid UNIQUE,
  serving_id uuid NOT NULL,
  day date NOT NULL,
  at timestamptz NOT NULL,
  group_id uuid NOT NULL,
  food_id uuid NOT NULL,
  outcome text NOT NULL CHECK (outcome IN ('served', 'less', 'more', 'refused', 'skipped')),
  planned_units numeric NOT NULL CHECK (planned_units >= 0),
  units numeric NOT NULL CHECK (units >= 0),
  mass_g numeric(14,6) NOT NULL CHECK (mass_g >= 0),
  note text NOT NULL CHECK (length(note) <= 120),
  recorded_at timestamptz NOT NULL DEFAULT now(),
  UNIQUE (household_id, id),
  FOREIGN KEY (household_id, group_id) REFERENCES groups (household_id, id),
  FOREIGN KEY (household_id, food_id) REFERENCES foods (household_id, id),
  FOREIGN KEY (household_id, undoes) REFERENCES feedings (household_id, id),
  CHECK ((outcome = 'skipped') = (units = 0))
);
CREATE INDEX feedings_day ON feedings (household_id, day, id);
CREATE TRIGGER feedings_append BEFORE UPDATE OR DELETE ON feedings
  FOR EACH ROW EXECUTE FUNCTION forbid_change();

CREATE TABLE stock_events (
  id uuid PRIMARY KEY,
  seq bigint GENERATED ALWAYS AS IDENTITY,
  household_id uuid NOT NULL,
  lot_id uuid NOT NULL,
  kind text NOT NULL CHECK (kind IN ('bought', 'drawn', 'returned', 'counted')),
  delta_g numeric(14,6) NOT NULL,
  day date NOT NULL,
  feeding_id uuid,
  recorded_at timestamptz NOT NULL DEFAULT now(),
  FOREIGN KEY (household_id, lot_id) REFERENCES lots (household_id, id),
  FOREIGN KEY (household_id, feeding_id) REFERENCES feedings (household_id, id),
  CHECK ((kind IN ('drawn', 'returned')) = (feeding_id IS NOT NULL))
);
CREATE INDEX stock_events_lot ON stock_events (household_id, lot_id);
CREATE INDEX stock_events_feeding ON stock_events (feeding_id) WHERE feeding_id IS NOT NULL;
CREATE TRIGGER stock_events_append BEFORE UPDATE OR DELETE ON stock_events
  FOR EACH ROW EXECUTE FUNCTION forbid_change();

CREATE FUNCTION keep_lot_in_step() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  UPDATE lots SET remaining_g = remaining_g + NEW.delta_g WHERE id = NEW.lot_id;
  RETURN NULL;
END $$;
CREATE TRIGGER stock_events_step AFTER INSERT ON stock_events
  FOR EACH ROW EXECUTE FUNCTION keep_lot_in_step();
`;
