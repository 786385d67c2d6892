/** A brood has lengths of its own to reach by an age, and eggs that a guard kicks out are an event. */
export const name = '0028-checkpoints-of-broods';

export const up = `
ALTER TABLE broods
  ADD COLUMN checkpoints jsonb NOT NULL DEFAULT '[]' CHECK (jsonb_typeof(checkpoints) = 'array');
ALTER TABLE brood_events
  DROP CONSTRAINT brood_events_kind_check,
  -- Of a share.
  DROP CONSTRAINT brood_events_check15,
  ADD CONSTRAINT brood_events_kind_check CHECK (kind IN ('conditioned', 'paired', 'spawned', 'eggsSeen',
    'parentsMoved', 'attached', 'hatched', 'swimming', 'firstFood', 'took', 'counted', 'measured', 'moved',
    'sorted', 'joined', 'lost', 'rehomed', 'changed', 'lifted', 'placed', 'removed', 'warmth', 'treated',
    'eggsBad', 'kickedOut', 'eggsEaten', 'swallowed', 'ended')),
  ADD CONSTRAINT brood_events_share_check CHECK
    (share IS NULL OR (share > 0 AND share <= 1 AND kind IN ('changed', 'lifted', 'eggsBad', 'kickedOut'))),
  ADD CHECK (kind <> 'kickedOut' OR share IS NOT NULL);
`;
