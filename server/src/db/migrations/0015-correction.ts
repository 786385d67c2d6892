/** Answers to proposals for a tank's water, and to what was put off for a week. */
export const name = '0015-correction';

export const up = `
ALTER TABLE answers RENAME COLUMN diet_version TO version;
ALTER TABLE answers
  ALTER COLUMN group_id DROP NOT NULL,
  -- The tank whose water it is about; one for portions or a training is about a group.
  ADD COLUMN tank_id uuid,
  -- Asked again in a week, not in four.
  ADD COLUMN later boolean NOT NULL DEFAULT false,
  DROP CONSTRAINT answers_kind_check,
  DROP CONSTRAINT answers_check,
  DROP CONSTRAINT answers_check1,
  ADD CONSTRAINT answers_kind CHECK (kind IN ('portions', 'training', 'water')),
  ADD CONSTRAINT answers_food CHECK ((food_id IS NOT NULL) = (kind = 'training')),
  ADD CONSTRAINT answers_about CHECK
    ((kind = 'water') = (tank_id IS NOT NULL) AND (kind = 'water') = (group_id IS NULL)),
  ADD CONSTRAINT answers_accepted CHECK (NOT accepted OR (kind <> 'training' AND NOT later)),
  ADD FOREIGN KEY (household_id, tank_id) REFERENCES tanks (household_id, id);
`;
