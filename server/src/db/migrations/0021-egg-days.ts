/** Days to hatching of a keeper’s own species are known at a temperature, and lie in a range. */
export const name = '0021-egg-days';

export const up = `
UPDATE species SET entry = '{"hatchTempC": null, "hatchSpread": null}' || entry;
`;
