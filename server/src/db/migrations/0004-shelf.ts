/**
 * What a food is in the water, what is done to it, how long it keeps and what to beware of; where a
 * lot is kept; what a hand weighs. Foods that were there begin without what nobody asked for.
 */
export const name = '0004-shelf';

export const up = `
ALTER TABLE foods
  ADD COLUMN copied_from text CHECK (length(copied_from) <= 60),
  ADD COLUMN float_minutes numeric CHECK (float_minutes BETWEEN 0 AND 20000),
  ADD COLUMN sink_cm_per_s numeric CHECK (sink_cm_per_s BETWEEN 0 AND 30),
  ADD COLUMN particle_min_mm numeric CHECK (particle_min_mm > 0),
  ADD COLUMN particle_max_mm numeric CHECK (particle_max_mm >= particle_min_mm),
  ADD COLUMN steps jsonb NOT NULL DEFAULT '[]' CHECK (jsonb_typeof(steps) = 'array'),
  ADD COLUMN keeps_sealed_days integer CHECK (keeps_sealed_days > 0),
  ADD COLUMN keeps_opened_days integer CHECK (keeps_opened_days > 0),
  ADD COLUMN keeps_prepared_hours numeric CHECK (keeps_prepared_hours > 0),
  ADD COLUMN lift_after_min numeric CHECK (lift_after_min > 0),
  ADD COLUMN cautions_people jsonb NOT NULL DEFAULT '[]' CHECK (jsonb_typeof(cautions_people) = 'array'),
  ADD COLUMN cautions_fish jsonb NOT NULL DEFAULT '[]' CHECK (jsonb_typeof(cautions_fish) = 'array');

ALTER TABLE lots ADD COLUMN place text;
UPDATE lots SET place = CASE foods.kind
    WHEN 'frozen' THEN 'freezer' WHEN 'mix' THEN 'freezer'
    WHEN 'gel' THEN 'fridge' WHEN 'fresh' THEN 'fridge'
    WHEN 'live' THEN 'bench' ELSE 'cupboard' END
  FROM foods WHERE foods.household_id = lots.household_id AND foods.id = lots.food_id;
ALTER TABLE lots
  ALTER COLUMN place SET NOT NULL,
  ADD CHECK (place IN ('cupboard', 'freezer', 'fridge', 'bench'));

CREATE TABLE weighings (
  id uuid PRIMARY KEY,
  seq bigint GENERATED ALWAYS AS IDENTITY,
  household_id uuid NOT NULL,
  food_id uuid NOT NULL,
  -- A row either says what was weighed, or takes exactly one such row back.
  undoes uuid UNIQUE REFERENCES weighings,
  day date NOT NULL,
  hand text NOT NULL CHECK (length(hand) BETWEEN 1 AND 30),
  -- What was dealt: a food that is later dealt by the spoon is not weighed by its pinches.
  unit text NOT NULL,
  units numeric NOT NULL CHECK (units >= 1),
  mass_g numeric NOT NULL CHECK (mass_g > 0),
  recorded_at timestamptz NOT NULL DEFAULT now(),
  FOREIGN KEY (household_id, food_id) REFERENCES foods (household_id, id)
);
CREATE INDEX weighings_food ON weighings (household_id, food_id, seq);
CREATE TRIGGER weighings_append BEFORE UPDATE OR DELETE ON weighings
  FOR EACH ROW EXECUTE FUNCTION forbid_change();

ALTER TABLE feedings ADD COLUMN hand text CHECK (length(hand) BETWEEN 1 AND 30);
`;
