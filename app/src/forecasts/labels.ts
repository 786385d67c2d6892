import type { ForecastRecords, ScoredForecast } from '@open-larder/contract';
import { FORECAST_UNITS, type ForecastKind, type HowRight } from '@open-larder/core/forecasts';
import { formatNumber, formatSignificant } from '@open-larder/say';
import type { Format } from '../store/useFormat';

export type KindRecord = ForecastRecords['kinds'][number];

export const FORECAST_TITLES: Record<ForecastKind, string> = {
  clearing: 'When a meal is gone',
  left: 'What is left of a meal',
  belly: 'Bellies at the next look',
  nitrate: 'Nitrate at the next test',
  length: 'Length at the next sample',
  lengthDay: 'The day a length is reached',
  hatch: 'The day eggs hatch',
  swim: 'The day larvae swim free',
  culture: 'How dense a culture is',
  hatchShare: 'How many brine shrimp hatch',
  runsOut: 'The day a food runs out',
};

/** A figure of a kind with its unit: lengths in the keeper’s, days as days. */
export function formatFigure(kind: ForecastKind, value: number, format: Format): string {
  if (kind === 'length') {
    const { unit } = format.scale('length');
    return unit === 'cm' && value < 0.1
      ? `${formatNumber(value * 10, 1)} mm`
      : format.quantity('length', value);
  }
  const unit = FORECAST_UNITS[kind];
  if (unit === 'd') {
    const days = formatNumber(value, value < 10 ? 1 : 0);
    return days === '1' ? '1 day' : `${days} days`;
  }
  if (unit === '%') return `${formatNumber(value, 0)} %`;
  const figure = formatNumber(Number(formatSignificant(value)), 1);
  return unit === '' ? figure : `${figure} ${unit}`;
}

/** «20 of 23 within the range shown; half were off by less than 2 mg/L» */
export function formatHowRight(
  kind: ForecastKind,
  { count, inside, medianError }: HowRight,
  format: Format,
): string {
  const within = `${inside} of ${count} within the range shown`;
  const off = formatFigure(kind, medianError, format);
  const typical = kind === 'belly' ? `${off} of five steps` : off;
  return count === 1 ? `${within}; off by ${typical}` : `${within}; typically off by ${typical}`;
}

/** How it changed as more was seen; null where there is too little to compare. */
export function formatChange(
  kind: ForecastKind,
  { change }: KindRecord,
  format: Format,
): string | null {
  if (change === null) return null;
  const of = ({ medianError, inside, count }: HowRight) =>
    `${formatFigure(kind, medianError, format)}, ${inside} of ${count} within range`;
  return `First half: off by ${of(change.first)}. Since then: ${of(change.last)}.`;
}

export function formatCalibration({ calibration, count }: KindRecord, from: number): string {
  if (calibration === null) {
    return `Ranges adjust to your tanks once ${from} have come due; ${count} so far.`;
  }
  if (calibration > 1.05)
    return `Ranges are shown ${formatNumber(calibration, 1)} times as wide, because too few held.`;
  if (calibration < 0.95) {
    return `Ranges are shown at ${formatNumber(calibration * 100, 0)} % of their width, because more held than needed.`;
  }
  return 'Ranges are shown as they are: as many held as should.';
}

/** «Tarn, 21 Nov: 6 mg/L expected (0 to 19), 10 mg/L seen» */
export function formatScored(kind: ForecastKind, one: ScoredForecast, format: Format): string {
  const figure = (value: number) => formatFigure(kind, value, format);
  const bare = (value: number) => figure(value).replace(/\s.*$/, '');
  return `${format.day(one.day)}: ${figure(one.middle)} expected (${bare(one.low)} to ${bare(one.high)}), ${figure(one.actual)} seen`;
}

/** Where what was seen lay against its band: −1 at the lower edge, 1 at the upper. */
export function offOf({ low, middle, high, actual }: ScoredForecast): number {
  const side = actual >= middle ? high - middle : middle - low;
  return (actual - middle) / Math.max(side, 1e-9);
}
