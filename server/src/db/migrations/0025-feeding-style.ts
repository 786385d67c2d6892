/** How the fish of a tank are fed is called its feeding style, as keepers say. */
export const name = '0025-feeding-style';

export const up = `
ALTER TABLE tank_plans RENAME COLUMN school TO feeding_style;
`;
