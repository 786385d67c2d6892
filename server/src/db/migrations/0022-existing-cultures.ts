/** A culture that was going already when it was entered: before that day nothing is known of it. */
export const name = '0022-existing-cultures';

export const up = `
ALTER TABLE vessels ADD COLUMN entered_on date CHECK (entered_on >= started_on);
`;
