/**
 * What was forecast before something was seen, as the models gave it from what was known then, beside
 * what was seen. Without a band, nothing could be forecast of it.
 */
export const name = '0023-forecasts';

export const up = `
CREATE TABLE forecasts (
  household_id uuid NOT NULL REFERENCES households (id),
  kind text NOT NULL CHECK (length(kind) <= 20),
  -- The event that it came true with.
  event_id uuid NOT NULL,
  about text NOT NULL CHECK (length(about) <= 200),
  made_on date NOT NULL,
  day date NOT NULL,
  low double precision,
  middle double precision,
  high double precision,
  actual double precision NOT NULL,
  recorded_at timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (household_id, kind, event_id),
  CHECK ((low IS NULL) = (middle IS NULL) AND (low IS NULL) = (high IS NULL)),
  CHECK (low <= middle AND middle <= high)
);
`;
