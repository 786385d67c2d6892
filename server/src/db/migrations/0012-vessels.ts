/** Live-food cultures, and what happened to them. */
export const name = '0012-vessels';

export const up = `
CREATE TABLE vessels (
  id uuid PRIMARY KEY,
  seq bigint GENERATED ALWAYS AS IDENTITY,
  household_id uuid NOT NULL REFERENCES households,
  kind_key text NOT NULL,
  also_kind_key text CHECK (also_kind_key <> kind_key),
  name text NOT NULL CHECK (length(name) BETWEEN 1 AND 60),
  measure numeric NOT NULL CHECK (measure BETWEEN 0.05 AND 5000),
  temp_c numeric NOT NULL CHECK (temp_c BETWEEN 0 AND 40),
  strain text NOT NULL,
  place text NOT NULL,
  started_from text NOT NULL,
  water text NOT NULL,
  tools text NOT NULL,
  food_id uuid,
  started_on date NOT NULL,
  started_at timestamptz NOT NULL,
  start_g numeric CHECK (start_g BETWEEN 0 AND 5000),
  from_vessel_id uuid CHECK (from_vessel_id <> id),
  version integer NOT NULL DEFAULT 1,
  recorded_at timestamptz NOT NULL DEFAULT now(),
  UNIQUE (household_id, id),
  FOREIGN KEY (household_id, food_id) REFERENCES foods (household_id, id),
  FOREIGN KEY (household_id, from_vessel_id) REFERENCES vessels (household_id, id)
);
CREATE INDEX vessels_household ON vessels (household_id, seq);
CREATE INDEX vessels_food ON vessels (food_id);

CREATE TABLE vessel_events (
  id uuid PRIMARY KEY,
  seq bigint GENERATED ALWAYS AS IDENTITY,
  household_id uuid NOT NULL,
  vessel_id uuid NOT NULL,
  -- A row either happened, or takes exactly one such row back.
  undoes uuid UNIQUE REFERENCES vessel_events,
  kind text NOT NULL CHECK (kind IN ('fed', 'topped', 'crashed', 'rested', 'woken', 'ended', 'seen',
    'counted', 'harvested', 'changed', 'split', 'added', 'warmth', 'restarted')),
  day date NOT NULL,
  at timestamptz NOT NULL,
  hand text CHECK (length(hand) BETWEEN 1 AND 30),
  note text NOT NULL DEFAULT '',
  density smallint CHECK (density IS NULL OR (density BETWEEN 1 AND 5 AND kind = 'seen')),
  clarity text CHECK (clarity IS NULL OR (clarity IN ('clear', 'cloudy', 'foul') AND kind = 'seen')),
  count numeric CHECK (count IS NULL OR (count >= 0 AND kind IN ('counted', 'harvested'))),
  sample_ml numeric CHECK (sample_ml IS NULL OR (sample_ml > 0 AND kind = 'counted')),
  mass_g numeric CHECK (mass_g IS NULL OR (mass_g >= 0 AND kind IN ('harvested', 'added', 'restarted'))),
  by text CHECK (by IS NULL OR (by IN ('net', 'pipette', 'spoon', 'g', 'some') AND kind = 'harvested')),
  amount numeric CHECK (amount IS NULL OR (amount > 0 AND kind = 'harvested')),
  share numeric CHECK (share IS NULL OR (share > 0 AND share <= 1 AND kind IN ('changed', 'split'))),
  temp_c numeric CHECK (temp_c IS NULL OR (temp_c BETWEEN 0 AND 40 AND kind = 'warmth')),
  -- The serving that it went into straight away.
  feeding_id uuid,
  -- Where it was put on the shelf, to be served later.
  lot_id uuid,
  recorded_at timestamptz NOT NULL DEFAULT now(),
  CHECK (kind NOT IN ('harvested', 'added') OR mass_g > 0),
  CHECK (kind <> 'warmth' OR temp_c IS NOT NULL),
  CHECK (kind NOT IN ('changed', 'split') OR share IS NOT NULL),
  CHECK (kind <> 'seen' OR density IS NOT NULL OR clarity IS NOT NULL),
  CHECK ((feeding_id IS NULL AND lot_id IS NULL) OR kind = 'harvested'),
  FOREIGN KEY (household_id, vessel_id) REFERENCES vessels (household_id, id),
  FOREIGN KEY (household_id, feeding_id) REFERENCES feedings (household_id, id),
  FOREIGN KEY (household_id, lot_id) REFERENCES lots (household_id, id)
);
CREATE INDEX vessel_events_vessel ON vessel_events (household_id, vessel_id, day, seq);
CREATE INDEX vessel_events_feeding ON vessel_events (feeding_id) WHERE feeding_id IS NOT NULL;
CREATE TRIGGER vessel_events_append BEFORE UPDATE OR DELETE ON vessel_events
  FOR EACH ROW EXECUTE FUNCTION forbid_change();
`;
