/** A serving asks whether its lot was counted after it: without reading all that was ever drawn from it. */
export const name = '0037-counts-of-a-lot';

export const up = `
CREATE INDEX stock_events_counted ON stock_events (household_id, lot_id, at) WHERE kind = 'counted';
`;
