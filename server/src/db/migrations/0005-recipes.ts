/**
 * Home recipes: what goes in by version, so that an old batch stays readable; and batches, which
 * take their ingredients from the shelf and put their portions on it.
 */
export const name = '0005-recipes';

export const up = `
CREATE TABLE recipes (
  id uuid PRIMARY KEY,
  household_id uuid NOT NULL REFERENCES households,
  -- The food that it makes: one recipe for each.
  food_id uuid NOT NULL,
  name text NOT NULL CHECK (length(name) BETWEEN 1 AND 60),
  kind text NOT NULL CHECK (kind IN ('gel', 'mix')),
  place text NOT NULL CHECK (place IN ('cupboard', 'freezer', 'fridge', 'bench')),
  keeps_days integer NOT NULL CHECK (keeps_days > 0),
  cooked numeric NOT NULL CHECK (cooked BETWEEN 0 AND 0.9),
  drained numeric NOT NULL CHECK (drained BETWEEN 0 AND 0.9),
  tray jsonb NOT NULL CHECK (jsonb_typeof(tray) = 'object'),
  targets jsonb NOT NULL CHECK (jsonb_typeof(targets) = 'object'),
  method text NOT NULL CHECK (length(method) <= 2000),
  version integer NOT NULL DEFAULT 1 CHECK (version > 0),
  archived boolean NOT NULL DEFAULT false,
  UNIQUE (household_id, id),
  UNIQUE (household_id, food_id),
  FOREIGN KEY (household_id, food_id) REFERENCES foods (household_id, id),
  CHECK (cooked + drained <= 0.95)
);

CREATE TABLE recipe_ingredients (
  household_id uuid NOT NULL,
  recipe_id uuid NOT NULL,
  version integer NOT NULL,
  position smallint NOT NULL,
  -- Null is water.
  food_id uuid,
  share numeric NOT NULL CHECK (share BETWEEN 0 AND 1),
  binder boolean NOT NULL,
  PRIMARY KEY (household_id, recipe_id, version, position),
  FOREIGN KEY (household_id, recipe_id) REFERENCES recipes (household_id, id),
  FOREIGN KEY (household_id, food_id) REFERENCES foods (household_id, id)
);
CREATE TRIGGER recipe_ingredients_append BEFORE UPDATE OR DELETE ON recipe_ingredients
  FOR EACH ROW EXECUTE FUNCTION forbid_change();

CREATE TABLE batches (
  id uuid PRIMARY KEY,
  household_id uuid NOT NULL,
  recipe_id uuid NOT NULL,
  recipe_version integer NOT NULL,
  lot_id uuid NOT NULL,
  -- A row either says that a batch was made, or takes exactly one such row back.
  undoes uuid UNIQUE REFERENCES batches,
  day date NOT NULL,
  mass_g numeric(14,6) NOT NULL CHECK (mass_g > 0),
  recorded_at timestamptz NOT NULL DEFAULT now(),
  UNIQUE (household_id, id),
  FOREIGN KEY (household_id, recipe_id) REFERENCES recipes (household_id, id),
  FOREIGN KEY (household_id, lot_id) REFERENCES lots (household_id, id)
);
CREATE INDEX batches_recipe ON batches (household_id, recipe_id, day);
CREATE TRIGGER batches_append BEFORE UPDATE OR DELETE ON batches
  FOR EACH ROW EXECUTE FUNCTION forbid_change();

ALTER TABLE stock_events
  ADD COLUMN batch_id uuid,
  ADD FOREIGN KEY (household_id, batch_id) REFERENCES batches (household_id, id),
  DROP CONSTRAINT stock_events_kind_check,
  ADD CONSTRAINT stock_events_kind_check CHECK (kind IN
    ('bought', 'drawn', 'returned', 'counted', 'mixed', 'made', 'unmade')),
  ADD CONSTRAINT stock_events_batch CHECK
    ((kind IN ('mixed', 'made', 'unmade')) = (batch_id IS NOT NULL));
CREATE INDEX stock_events_batch ON stock_events (batch_id) WHERE batch_id IS NOT NULL;
`;
