/** Whether a serving was logged is asked with each one: without reading all of its days, or all of the day. */
export const name = '0038-a-serving-of-a-day';

export const up = `
DROP INDEX feedings_serving;
CREATE INDEX feedings_serving ON feedings (serving_id, household_id, day);
`;
