/** A length that a group should have by an age, or at all; ages count from the day it was born. */
export const name = '0020-checkpoints';

export const up = `
ALTER TABLE groups
  ADD COLUMN born_on date,
  ADD COLUMN checkpoints jsonb NOT NULL DEFAULT '[]'
    CHECK (jsonb_typeof(checkpoints) = 'array');
`;
