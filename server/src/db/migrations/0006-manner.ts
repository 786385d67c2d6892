/** How a serving is given: later than the moment, spread, carried down, soaked, apart. */
export const name = '0006-manner';

export const up = `
ALTER TABLE diet_servings
  ADD COLUMN manner jsonb NOT NULL
  DEFAULT '{"afterMin": 0, "spots": 1, "carried": false, "soaked": false, "apart": false}'
  CHECK (jsonb_typeof(manner) = 'object');
`;
