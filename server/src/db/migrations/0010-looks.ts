/** How groups looked when they were fed. */
export const name = '0010-looks';

export const up = `
CREATE TABLE looks (
  id uuid PRIMARY KEY,
  seq bigint GENERATED ALWAYS AS IDENTITY,
  household_id uuid NOT NULL,
  group_id uuid NOT NULL,
  -- A row either says what was seen, or takes exactly one such row back.
  undoes uuid UNIQUE REFERENCES looks,
  day date NOT NULL,
  at timestamptz NOT NULL,
  belly smallint CHECK (belly BETWEEN 1 AND 5),
  hung_back boolean NOT NULL,
  absent boolean NOT NULL,
  injured boolean NOT NULL,
  colour text CHECK (colour IN ('usual', 'pale', 'dark', 'bright')),
  droppings text CHECK (droppings IN ('usual', 'stringy', 'none')),
  note text NOT NULL CHECK (length(note) <= 120),
  hand text CHECK (length(hand) BETWEEN 1 AND 30),
  recorded_at timestamptz NOT NULL DEFAULT now(),
  FOREIGN KEY (household_id, group_id) REFERENCES groups (household_id, id)
);
CREATE INDEX looks_group ON looks (household_id, group_id, seq);
CREATE TRIGGER looks_append BEFORE UPDATE OR DELETE ON looks
  FOR EACH ROW EXECUTE FUNCTION forbid_change();
`;
