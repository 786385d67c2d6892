/** What happened to the water of tanks; each fish of a sample, its mass, and the picture it was measured in. */
export const name = '0014-water-and-growth';

export const up = `
CREATE TABLE water_events (
  id uuid PRIMARY KEY,
  seq bigint GENERATED ALWAYS AS IDENTITY,
  household_id uuid NOT NULL,
  tank_id uuid NOT NULL,
  -- A row either happened, or takes exactly one such row back.
  undoes uuid UNIQUE REFERENCES water_events,
  kind text NOT NULL CHECK (kind IN ('tested', 'changed', 'filledUp')),
  day date NOT NULL,
  at timestamptz NOT NULL,
  hand text CHECK (length(hand) BETWEEN 1 AND 30),
  note text NOT NULL DEFAULT '' CHECK (length(note) <= 120),
  share numeric CHECK (share > 0 AND share <= 1),
  sure boolean NOT NULL DEFAULT false,
  tan numeric CHECK (tan BETWEEN 0 AND 20),
  nitrite numeric CHECK (nitrite BETWEEN 0 AND 30),
  nitrate numeric CHECK (nitrate BETWEEN 0 AND 500),
  ph numeric CHECK (ph BETWEEN 3 AND 11),
  gh numeric CHECK (gh BETWEEN 0 AND 60),
  kh numeric CHECK (kh BETWEEN 0 AND 60),
  tds_mg_l numeric CHECK (tds_mg_l BETWEEN 0 AND 20000),
  temp_c numeric CHECK (temp_c BETWEEN 0 AND 40),
  recorded_at timestamptz NOT NULL DEFAULT now(),
  CHECK ((kind = 'tested') = (share IS NULL)),
  CHECK (kind = 'tested' OR coalesce(tan, nitrite, nitrate, ph, gh, kh, tds_mg_l) IS NULL),
  CHECK (kind <> 'tested' OR coalesce(tan, nitrite, nitrate, ph, gh, kh, tds_mg_l, temp_c) IS NOT NULL),
  FOREIGN KEY (household_id, tank_id) REFERENCES tanks (household_id, id)
);
CREATE INDEX water_events_tank ON water_events (household_id, tank_id, day, seq);
CREATE TRIGGER water_events_append BEFORE UPDATE OR DELETE ON water_events
  FOR EACH ROW EXECUTE FUNCTION forbid_change();

ALTER TABLE group_events
  ADD COLUMN lengths_cm jsonb CHECK (lengths_cm IS NULL OR (kind = 'measured'
    AND jsonb_array_length(lengths_cm) BETWEEN 1 AND 200)),
  ADD COLUMN mass_g numeric CHECK (mass_g IS NULL OR (mass_g > 0 AND kind = 'measured'));

CREATE TABLE photos (
  id uuid PRIMARY KEY,
  seq bigint GENERATED ALWAYS AS IDENTITY,
  household_id uuid NOT NULL,
  event_id uuid NOT NULL,
  width_px integer NOT NULL CHECK (width_px BETWEEN 1 AND 10000),
  height_px integer NOT NULL CHECK (height_px BETWEEN 1 AND 10000),
  -- A JPEG or PNG, as a data address.
  picture text NOT NULL CHECK (length(picture) <= 1500000),
  marks jsonb NOT NULL,
  recorded_at timestamptz NOT NULL DEFAULT now(),
  UNIQUE (household_id, event_id),
  FOREIGN KEY (household_id, event_id) REFERENCES group_events (household_id, id)
);
CREATE TRIGGER photos_append BEFORE UPDATE OR DELETE ON photos
  FOR EACH ROW EXECUTE FUNCTION forbid_change();
`;
