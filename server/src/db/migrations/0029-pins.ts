/** What of a tank's plan stays as the keeper has it when the plan is balanced. */
export const name = '0029-pins';

export const up = `
ALTER TABLE tank_plans ADD COLUMN pins jsonb CHECK (pins IS NULL OR jsonb_typeof(pins) = 'object');
`;
