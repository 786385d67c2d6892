/** Trials of diets, and what foods did as the keeper rates it. */
export const name = '0016-trials-and-ratings';

export const up = `
CREATE TABLE trials (
  id uuid PRIMARY KEY,
  household_id uuid NOT NULL,
  name text NOT NULL CHECK (length(name) BETWEEN 1 AND 60),
  kind text NOT NULL CHECK (kind IN ('siblings', 'tank')),
  group_id uuid NOT NULL,
  other_group_id uuid CHECK (other_group_id <> group_id),
  from_day date NOT NULL,
  changed_on date CHECK (changed_on > from_day),
  ended_on date CHECK (ended_on >= from_day),
  weeks numeric NOT NULL CHECK (weeks BETWEEN 1 AND 104),
  difference numeric NOT NULL CHECK (difference BETWEEN 0.02 AND 3),
  tubs_each numeric NOT NULL CHECK (tubs_each BETWEEN 1 AND 40),
  note text NOT NULL CHECK (length(note) <= 500),
  version integer NOT NULL CHECK (version >= 1),
  archived boolean NOT NULL,
  CHECK ((kind = 'siblings') = (other_group_id IS NOT NULL)),
  CHECK ((kind = 'tank') = (changed_on IS NOT NULL)),
  FOREIGN KEY (household_id, group_id) REFERENCES groups (household_id, id),
  FOREIGN KEY (household_id, other_group_id) REFERENCES groups (household_id, id)
);
CREATE INDEX trials_household ON trials (household_id, id);

CREATE TABLE ratings (
  id uuid PRIMARY KEY,
  seq bigint GENERATED ALWAYS AS IDENTITY,
  household_id uuid NOT NULL,
  group_id uuid NOT NULL,
  food_id uuid NOT NULL,
  -- A row either rates, or takes exactly one such row back.
  undoes uuid UNIQUE REFERENCES ratings,
  day date NOT NULL,
  at timestamptz NOT NULL,
  colour text CHECK (colour IN ('worse', 'same', 'better')),
  growth text CHECK (growth IN ('worse', 'same', 'better')),
  note text NOT NULL CHECK (length(note) <= 120),
  hand text CHECK (length(hand) BETWEEN 1 AND 30),
  recorded_at timestamptz NOT NULL DEFAULT now(),
  CHECK (colour IS NOT NULL OR growth IS NOT NULL),
  FOREIGN KEY (household_id, group_id) REFERENCES groups (household_id, id),
  FOREIGN KEY (household_id, food_id) REFERENCES foods (household_id, id)
);
CREATE INDEX ratings_seq ON ratings (household_id, seq);
CREATE TRIGGER ratings_append BEFORE UPDATE OR DELETE ON ratings
  FOR EACH ROW EXECUTE FUNCTION forbid_change();
`;
