/** What is done around a meal (soaking, thawing), and the phrases that a keeper notes most. */
export const name = '0009-chores';

export const up = `
CREATE TABLE chores (
  id uuid PRIMARY KEY,
  seq bigint GENERATED ALWAYS AS IDENTITY,
  household_id uuid NOT NULL REFERENCES households,
  -- A row either says that something was done, or takes exactly one such row back.
  undoes uuid UNIQUE REFERENCES chores,
  kind text NOT NULL CHECK (kind IN ('prepare')),
  -- What of its kind it was, on its day: for a preparation its food and when it is ready.
  about text NOT NULL CHECK (length(about) BETWEEN 1 AND 120),
  day date NOT NULL,
  at timestamptz NOT NULL,
  hand text CHECK (length(hand) BETWEEN 1 AND 30),
  recorded_at timestamptz NOT NULL DEFAULT now()
);
CREATE INDEX chores_day ON chores (household_id, day, seq);
CREATE TRIGGER chores_append BEFORE UPDATE OR DELETE ON chores
  FOR EACH ROW EXECUTE FUNCTION forbid_change();

ALTER TABLE households ADD COLUMN phrases jsonb NOT NULL DEFAULT '[]'
  CHECK (jsonb_typeof(phrases) = 'array');
`;
