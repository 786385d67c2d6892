/**
 * A second wall between households: whoever is not the owner of the tables sees, and writes, only rows
 * of the household that its transaction names. Without one there are none.
 */
export const name = '0032-walls-between-households';

export const up = `
CREATE FUNCTION current_household() RETURNS uuid LANGUAGE sql STABLE PARALLEL SAFE AS $$
  SELECT CAST(nullif(current_setting('open_larder.household', true), '') AS uuid)
$$;

DO $$
DECLARE held text;
BEGIN
  FOR held IN
    SELECT c.relname
      FROM pg_class c
      JOIN pg_attribute a ON a.attrelid = c.oid AND a.attname = 'household_id'
     WHERE c.relkind = 'r' AND c.relnamespace = CAST('public' AS regnamespace)
       -- Who belongs to which households is asked before one of them is chosen.
       AND c.relname NOT IN ('memberships', 'invitations', 'pairings')
  LOOP
    EXECUTE format('ALTER TABLE %I ENABLE ROW LEVEL SECURITY', held);
    EXECUTE format(
      'CREATE POLICY own_household ON %I USING (household_id = current_household())', held);
  END LOOP;
END
$$;

-- The names of the households of a person are read before one is chosen; changed is only the own one.
ALTER TABLE households ENABLE ROW LEVEL SECURITY;
CREATE POLICY own_household ON households USING (id = current_household());
CREATE POLICY to_choose ON households FOR SELECT USING (current_household() IS NULL);
`;
