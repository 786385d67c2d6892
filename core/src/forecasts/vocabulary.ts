/** What is forecast and can come true, in the order in which it is shown. */
export const FORECAST_KINDS = [
  'clearing',
  'left',
  'belly',
  'nitrate',
  'length',
  'lengthDay',
  'hatch',
  'swim',
  'culture',
  'hatchShare',
  'runsOut',
] as const;
export type ForecastKind = (typeof FORECAST_KINDS)[number];

/** What each of them is measured in. */
export const FORECAST_UNITS: Record<ForecastKind, string> = {
  clearing: 'min',
  left: '%',
  belly: '',
  nitrate: 'mg/L',
  length: 'cm',
  lengthDay: 'd',
  hatch: 'd',
  swim: 'd',
  culture: '%',
  hatchShare: '%',
  runsOut: 'd',
};
