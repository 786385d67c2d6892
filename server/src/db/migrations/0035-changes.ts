/**
 * The order in which changes of a household come into force, so that other pages and other servers hear
 * of each of them; and who has the Round open.
 *
 * Each household has a counter, whose row a change holds until it is in force: the order has no gaps, and
 * nothing comes into force behind what was read. Its line is another one after a database was put back.
 */
export const name = '0035-changes';

export const up = `
CREATE TABLE change_counters (
  household_id uuid PRIMARY KEY,
  line uuid NOT NULL DEFAULT gen_random_uuid(),
  last bigint NOT NULL
);
CREATE TABLE changes (
  household_id uuid NOT NULL,
  seq bigint NOT NULL,
  route text NOT NULL,
  subject text,
  page text,
  recorded_at timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (household_id, seq)
);
CREATE UNLOGGED TABLE presences (
  household_id uuid NOT NULL,
  page uuid NOT NULL,
  person text,
  tank_id uuid,
  seen_at timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (household_id, page)
);
DO $$
DECLARE held text;
BEGIN
  FOREACH held IN ARRAY ARRAY['change_counters', 'changes', 'presences'] LOOP
    EXECUTE format('ALTER TABLE %I ENABLE ROW LEVEL SECURITY', held);
    EXECUTE format(
      'CREATE POLICY own_household ON %I USING (household_id = current_household())', held);
  END LOOP;
END $$;
`;
