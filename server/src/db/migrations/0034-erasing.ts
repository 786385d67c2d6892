/**
 * The one exception to records that are only added to: a whole household is erased for good. Only the
 * owner of the tables may delete events, and only within `erase_household`, which the server may call for
 * the household that its transaction names.
 */
export const name = '0034-erasing';

export const up = `
CREATE OR REPLACE FUNCTION forbid_change() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  IF TG_OP = 'DELETE'
     AND current_setting('open_larder.erasing', true) = CAST(OLD.household_id AS text)
     AND current_user = (SELECT pg_get_userbyid(relowner) FROM pg_class WHERE oid = TG_RELID)
  THEN
    RETURN OLD;
  END IF;
  RAISE EXCEPTION 'rows of % are events: write a correcting one', TG_TABLE_NAME
    USING ERRCODE = 'restrict_violation';
END $$;

CREATE FUNCTION erase_household() RETURNS bigint
LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_temp AS $$
DECLARE
  erased uuid := current_household();
  waiting text[];
  blocked text[];
  held text;
  many bigint;
  total bigint := 0;
BEGIN
  IF erased IS NULL THEN RAISE EXCEPTION 'no household is named'; END IF;
  PERFORM set_config('open_larder.erasing', CAST(erased AS text), true);
  SELECT array_agg(CAST(c.relname AS text)) INTO waiting
    FROM pg_class c JOIN pg_attribute a ON a.attrelid = c.oid AND a.attname = 'household_id'
   WHERE c.relkind = 'r' AND c.relnamespace = CAST('public' AS regnamespace);
  -- What others still refer to waits until they are gone.
  WHILE waiting <> '{}' LOOP
    blocked := '{}';
    FOREACH held IN ARRAY waiting LOOP
      BEGIN
        EXECUTE format('DELETE FROM %I WHERE household_id = $1', held) USING erased;
        GET DIAGNOSTICS many = ROW_COUNT;
        total := total + many;
      EXCEPTION WHEN foreign_key_violation THEN
        blocked := blocked || held;
      END;
    END LOOP;
    IF blocked = waiting THEN
      RAISE EXCEPTION 'tables refer to each other: %', array_to_string(blocked, ', ');
    END IF;
    waiting := blocked;
  END LOOP;
  DELETE FROM households WHERE id = erased;
  PERFORM set_config('open_larder.erasing', '', true);
  RETURN total;
END $$;
REVOKE EXECUTE ON FUNCTION erase_household() FROM PUBLIC;
`;
