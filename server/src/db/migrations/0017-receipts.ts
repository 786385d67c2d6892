/**
 * What was answered to what was sent: the same thing sent again gets the same answer, and does nothing
 * a second time. Kept for some weeks; ids of rows guard for good.
 */
export const name = '0017-receipts';

export const up = `
CREATE TABLE receipts (
  household_id uuid NOT NULL REFERENCES households,
  key text NOT NULL,
  digest text NOT NULL,
  answer jsonb,
  recorded_at timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (household_id, key)
);
CREATE INDEX receipts_age ON receipts (recorded_at);
`;
