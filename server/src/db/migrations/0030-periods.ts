/** Parts of the year in which a tank is fed otherwise, by date or by the temperature of its water. */
export const name = '0030-periods';

export const up = `
ALTER TABLE tank_plans
  ADD COLUMN periods jsonb CHECK (periods IS NULL OR jsonb_typeof(periods) = 'array');
`;
