/**
 * Tanks with what is in and on them, species of the keeper's own, units chosen one by one,
 * and the whole life of a group as events: where it was, who came, who left and why.
 */
export const name = '0002-know-the-fish';

export const up = `
ALTER TABLE households
  ADD COLUMN temperature text NOT NULL DEFAULT 'C' CHECK (temperature IN ('C', 'F')),
  ADD COLUMN hardness text NOT NULL DEFAULT 'dGH' CHECK (hardness IN ('dGH', 'ppm'));
UPDATE households SET temperature = 'F', hardness = 'ppm' WHERE units = 'us';

ALTER TABLE tanks
  ADD COLUMN kind text NOT NULL DEFAULT 'display'
    CHECK (kind IN ('display', 'breeding', 'grow-out', 'fry tub', 'quarantine', 'outdoor tub')),
  ADD COLUMN shape text NOT NULL DEFAULT 'box'
    CHECK (shape IN ('box', 'bow front', 'corner', 'hexagon', 'cylinder', 'tapered tub', 'bowl')),
  ADD COLUMN gh numeric CHECK (gh BETWEEN 0 AND 60),
  ADD COLUMN ground text,
  ADD COLUMN ground_depth_cm numeric CHECK (ground_depth_cm BETWEEN 0 AND 200),
  ADD COLUMN decor text,
  ADD COLUMN filter text,
  ADD COLUMN flow text,
  ADD COLUMN plants text,
  ADD COLUMN cover text,
  ADD COLUMN source_water text;

CREATE TABLE species (
  id uuid PRIMARY KEY,
  household_id uuid NOT NULL REFERENCES households,
  -- The row that it was copied from; only a memory, so that no catalogue update can touch it.
  copied_from text,
  entry jsonb NOT NULL,
  version integer NOT NULL DEFAULT 1 CHECK (version > 0),
  archived boolean NOT NULL DEFAULT false,
  UNIQUE (household_id, id)
);

ALTER TABLE group_events
  DROP CONSTRAINT group_events_kind_check,
  DROP CONSTRAINT group_events_check,
  DROP CONSTRAINT group_events_check1,
  DROP CONSTRAINT group_events_check2,
  ADD COLUMN cause text,
  ADD COLUMN tank_id uuid,
  ADD COLUMN other_group_id uuid,
  -- Both halves of a split or a merger carry the same pair: they are taken back together.
  ADD COLUMN pair_id uuid,
  ADD COLUMN note text NOT NULL DEFAULT '' CHECK (length(note) <= 120),
  ADD CONSTRAINT group_events_kind CHECK (kind IN ('arrived', 'born', 'joined', 'counted', 'died',
    'sold', 'given', 'parted', 'moved', 'measured', 'staged')),
  ADD CONSTRAINT group_events_counts CHECK (
    (kind NOT IN ('moved', 'measured', 'staged')) =
    (males IS NOT NULL AND females IS NOT NULL AND unsexed IS NOT NULL)),
  ADD CONSTRAINT group_events_length CHECK ((kind = 'measured') = (length_cm IS NOT NULL)),
  ADD CONSTRAINT group_events_stage CHECK ((kind = 'staged') = (stage IS NOT NULL)),
  ADD CONSTRAINT group_events_tank CHECK ((kind = 'moved') = (tank_id IS NOT NULL)),
  ADD CONSTRAINT group_events_cause CHECK (cause IS NULL OR kind = 'died'),
  ADD CONSTRAINT group_events_other CHECK (other_group_id IS NULL OR kind IN ('joined', 'parted')),
  ADD UNIQUE (household_id, id),
  ADD FOREIGN KEY (household_id, tank_id) REFERENCES tanks (household_id, id),
  ADD FOREIGN KEY (household_id, other_group_id) REFERENCES groups (household_id, id);

-- Where a group was becomes an event like all else; stays are kept in step with these.
INSERT INTO group_events (id, household_id, group_id, kind, day, tank_id)
  SELECT gen_random_uuid(), household_id, group_id, 'moved', lower(during), tank_id FROM stays;

CREATE TABLE group_event_withdrawals (
  id uuid PRIMARY KEY,
  household_id uuid NOT NULL,
  event_id uuid NOT NULL UNIQUE,
  recorded_at timestamptz NOT NULL DEFAULT now(),
  FOREIGN KEY (household_id, event_id) REFERENCES group_events (household_id, id)
);
CREATE TRIGGER group_event_withdrawals_append BEFORE UPDATE OR DELETE ON group_event_withdrawals
  FOR EACH ROW EXECUTE FUNCTION forbid_change();
`;
