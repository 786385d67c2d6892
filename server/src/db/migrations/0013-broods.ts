/** Broods, the tubs that they grow up in, and what happened to them. */
export const name = '0013-broods';

export const up = `
CREATE TABLE broods (
  id uuid PRIMARY KEY,
  seq bigint GENERATED ALWAYS AS IDENTITY,
  household_id uuid NOT NULL REFERENCES households,
  name text NOT NULL CHECK (length(name) BETWEEN 1 AND 60),
  species_key text NOT NULL,
  breeding text,
  tank_id uuid,
  group_id uuid,
  young_group_id uuid,
  raising text NOT NULL CHECK (raising IN ('with', 'apart')),
  egg_care text NOT NULL CHECK (egg_care IN ('left', 'moved', 'released', 'stripped', 'stored')),
  first_water text NOT NULL CHECK (first_water IN ('parents', 'grown')),
  first_food text CHECK (first_food IN ('smallest', 'shrimp', 'powder', 'film')),
  target_cm numeric CHECK (target_cm BETWEEN 0.3 AND 200),
  condition_days integer CHECK (condition_days BETWEEN 1 AND 90),
  version integer NOT NULL DEFAULT 1,
  recorded_at timestamptz NOT NULL DEFAULT now(),
  UNIQUE (household_id, id),
  FOREIGN KEY (household_id, tank_id) REFERENCES tanks (household_id, id),
  FOREIGN KEY (household_id, group_id) REFERENCES groups (household_id, id),
  FOREIGN KEY (household_id, young_group_id) REFERENCES groups (household_id, id)
);
CREATE INDEX broods_household ON broods (household_id, seq);

CREATE TABLE brood_tubs (
  id uuid PRIMARY KEY,
  seq bigint GENERATED ALWAYS AS IDENTITY,
  household_id uuid NOT NULL,
  brood_id uuid NOT NULL,
  name text NOT NULL CHECK (length(name) BETWEEN 1 AND 60),
  litres numeric NOT NULL CHECK (litres BETWEEN 0.2 AND 50000),
  temp_c numeric NOT NULL CHECK (temp_c BETWEEN 0 AND 40),
  ph numeric CHECK (ph BETWEEN 4 AND 10),
  filtered boolean NOT NULL,
  version integer NOT NULL DEFAULT 1,
  recorded_at timestamptz NOT NULL DEFAULT now(),
  UNIQUE (household_id, brood_id, id),
  FOREIGN KEY (household_id, brood_id) REFERENCES broods (household_id, id)
);
CREATE INDEX brood_tubs_brood ON brood_tubs (household_id, brood_id, seq);

CREATE TABLE brood_events (
  id uuid PRIMARY KEY,
  seq bigint GENERATED ALWAYS AS IDENTITY,
  household_id uuid NOT NULL,
  brood_id uuid NOT NULL,
  -- A row either happened, or takes exactly one such row back.
  undoes uuid UNIQUE REFERENCES brood_events,
  kind text NOT NULL CHECK (kind IN ('conditioned', 'paired', 'spawned', 'eggsSeen', 'parentsMoved', 'attached',
    'hatched', 'swimming', 'firstFood', 'took', 'counted', 'measured', 'moved', 'sorted', 'joined', 'lost',
    'rehomed', 'changed', 'warmth', 'treated', 'eggsEaten', 'swallowed', 'ended')),
  day date NOT NULL,
  at timestamptz NOT NULL,
  hand text CHECK (length(hand) BETWEEN 1 AND 30),
  note text NOT NULL DEFAULT '',
  tub_id uuid,
  to_tub_id uuid CHECK (to_tub_id IS NULL OR (kind = 'moved' AND to_tub_id IS DISTINCT FROM tub_id)),
  count integer CHECK (count IS NULL OR (count >= 0
    AND kind IN ('eggsSeen', 'counted', 'lost', 'rehomed', 'joined', 'moved'))),
  length_mm numeric CHECK (length_mm IS NULL OR (length_mm > 0 AND kind = 'measured')),
  short_mm numeric CHECK (short_mm IS NULL OR (short_mm > 0 AND short_mm <= length_mm)),
  long_mm numeric CHECK (long_mm IS NULL OR long_mm >= length_mm),
  temp_c numeric CHECK (temp_c IS NULL OR (temp_c BETWEEN 0 AND 40 AND kind = 'warmth')),
  share numeric CHECK (share IS NULL OR (share > 0 AND share <= 1 AND kind = 'changed')),
  food_key text CHECK (food_key IS NULL OR (length(food_key) BETWEEN 1 AND 60 AND kind = 'took')),
  recorded_at timestamptz NOT NULL DEFAULT now(),
  CHECK (kind <> 'took' OR food_key IS NOT NULL),
  CHECK (kind NOT IN ('eggsSeen', 'counted', 'lost', 'rehomed', 'joined') OR count IS NOT NULL),
  CHECK (kind <> 'moved' OR to_tub_id IS NOT NULL),
  CHECK (kind <> 'measured' OR length_mm IS NOT NULL),
  CHECK (kind <> 'warmth' OR temp_c IS NOT NULL),
  CHECK (kind <> 'changed' OR share IS NOT NULL),
  FOREIGN KEY (household_id, brood_id) REFERENCES broods (household_id, id),
  FOREIGN KEY (household_id, brood_id, tub_id) REFERENCES brood_tubs (household_id, brood_id, id),
  FOREIGN KEY (household_id, brood_id, to_tub_id) REFERENCES brood_tubs (household_id, brood_id, id)
);
CREATE INDEX brood_events_brood ON brood_events (household_id, brood_id, day, seq);
CREATE TRIGGER brood_events_append BEFORE UPDATE OR DELETE ON brood_events
  FOR EACH ROW EXECUTE FUNCTION forbid_change();
`;
