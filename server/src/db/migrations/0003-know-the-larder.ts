/** How long a keeper's deliveries usually take, so that buying can begin in time. */
export const name = '0003-know-the-larder';

export const up = `
ALTER TABLE households
  ADD COLUMN delivery_days smallint NOT NULL DEFAULT 4 CHECK (delivery_days BETWEEN 0 AND 60);
`;
