/**
 * A count says what was there at an instant: what was served before it and is sent after it is in it
 * already, and what was served after it is not.
 */
export const name = '0036-counts-at-an-instant';

export const up = `
ALTER TABLE stock_events ADD COLUMN at timestamptz;
ALTER TABLE stock_events ADD CHECK (at IS NULL OR kind = 'counted');
`;
