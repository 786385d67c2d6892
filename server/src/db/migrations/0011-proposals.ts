/** Answers to what was proposed, and foods that groups are trained onto. */
export const name = '0011-proposals';

export const up = `
CREATE TABLE answers (
  id uuid PRIMARY KEY,
  seq bigint GENERATED ALWAYS AS IDENTITY,
  household_id uuid NOT NULL,
  group_id uuid NOT NULL,
  -- A row either answers, or takes exactly one such row back.
  undoes uuid UNIQUE REFERENCES answers,
  kind text NOT NULL CHECK (kind IN ('portions', 'training')),
  food_id uuid CHECK ((food_id IS NOT NULL) = (kind = 'training')),
  accepted boolean NOT NULL CHECK (kind = 'portions' OR NOT accepted),
  change numeric CHECK (change BETWEEN -0.15 AND 0.15),
  -- What was seen that spoke for it, as it was told then.
  signs jsonb NOT NULL,
  -- Of an accepted one, the diet that it made; else the one that it was about.
  diet_version integer NOT NULL,
  day date NOT NULL,
  at timestamptz NOT NULL,
  hand text CHECK (length(hand) BETWEEN 1 AND 30),
  recorded_at timestamptz NOT NULL DEFAULT now(),
  FOREIGN KEY (household_id, group_id) REFERENCES groups (household_id, id),
  FOREIGN KEY (household_id, food_id) REFERENCES foods (household_id, id)
);
CREATE INDEX answers_day ON answers (household_id, day);
CREATE TRIGGER answers_append BEFORE UPDATE OR DELETE ON answers
  FOR EACH ROW EXECUTE FUNCTION forbid_change();

CREATE TABLE trainings (
  id uuid PRIMARY KEY,
  seq bigint GENERATED ALWAYS AS IDENTITY,
  household_id uuid NOT NULL,
  group_id uuid NOT NULL,
  -- A row either begins a training, or ends exactly one.
  ends uuid UNIQUE REFERENCES trainings,
  serving_id uuid NOT NULL,
  food_id uuid NOT NULL,
  from_step smallint NOT NULL CHECK (from_step BETWEEN 1 AND 5),
  kept boolean CHECK ((kept IS NOT NULL) = (ends IS NOT NULL)),
  day date NOT NULL,
  at timestamptz NOT NULL,
  hand text CHECK (length(hand) BETWEEN 1 AND 30),
  recorded_at timestamptz NOT NULL DEFAULT now(),
  FOREIGN KEY (household_id, group_id) REFERENCES groups (household_id, id),
  FOREIGN KEY (household_id, food_id) REFERENCES foods (household_id, id)
);
CREATE INDEX trainings_group ON trainings (household_id, group_id, seq);
CREATE TRIGGER trainings_append BEFORE UPDATE OR DELETE ON trainings
  FOR EACH ROW EXECUTE FUNCTION forbid_change();

-- What became of a training's mixed meals is read by their serving, whenever they were.
CREATE INDEX feedings_serving ON feedings (serving_id);
`;
