/** What a keeper sees of a feeding, and what was learned from it of a tank's groups. */
export const name = '0007-sightings';

export const up = `
CREATE TABLE sightings (
  id uuid PRIMARY KEY,
  seq bigint GENERATED ALWAYS AS IDENTITY,
  household_id uuid NOT NULL,
  tank_id uuid NOT NULL,
  -- A row either says what was seen, or takes exactly one such row back.
  undoes uuid UNIQUE REFERENCES sightings,
  day date NOT NULL,
  moment_id uuid NOT NULL,
  cleared_min numeric CHECK (cleared_min BETWEEN 0 AND 1440),
  "left" numeric CHECK ("left" BETWEEN 0 AND 1),
  came jsonb NOT NULL CHECK (jsonb_typeof(came) = 'array'),
  drops jsonb NOT NULL CHECK (jsonb_typeof(drops) = 'array'),
  recorded_at timestamptz NOT NULL DEFAULT now(),
  FOREIGN KEY (household_id, tank_id) REFERENCES tanks (household_id, id),
  FOREIGN KEY (household_id, moment_id) REFERENCES moments (household_id, id)
);
CREATE INDEX sightings_tank ON sightings (household_id, tank_id, seq);
CREATE TRIGGER sightings_append BEFORE UPDATE OR DELETE ON sightings
  FOR EACH ROW EXECUTE FUNCTION forbid_change();

CREATE TABLE learned (
  household_id uuid NOT NULL,
  tank_id uuid NOT NULL,
  version integer NOT NULL CHECK (version > 0),
  frozen boolean NOT NULL,
  sightings integer NOT NULL CHECK (sightings >= 0),
  groups jsonb NOT NULL CHECK (jsonb_typeof(groups) = 'array'),
  recorded_at timestamptz NOT NULL DEFAULT now(),
  -- Every version stays: what a plan was simulated with can be read back.
  PRIMARY KEY (household_id, tank_id, version),
  FOREIGN KEY (household_id, tank_id) REFERENCES tanks (household_id, id)
);
CREATE TRIGGER learned_append BEFORE UPDATE OR DELETE ON learned
  FOR EACH ROW EXECUTE FUNCTION forbid_change();
`;
