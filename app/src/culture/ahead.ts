import {
  forecast,
  gramsOfOne,
  leftForMost,
  forecastStartOf,
  wayOf,
} from '@open-larder/core/culture';
import type { ForecastStart } from '@open-larder/core/culture';
import type { Culture } from './useCultures';

/** So far ahead a vessel is drawn. */
export const AHEAD = 21;

/** What the core's forecast and supply begin with. */
export const forecastStartOfRow = (culture: Culture): ForecastStart =>
  forecastStartOf(
    { ...culture, shared: culture.alsoKindKey !== null },
    culture.status,
    culture.hatch?.share,
  );

/** A vessel three weeks ahead, its harvest line, and what the top of its picture stands for. */
export function drawnOf(culture: Culture) {
  const { kind, status } = culture;
  const standing = forecastStartOfRow(culture);
  const ahead = forecast(standing, AHEAD, (day) => status.tempAhead[day] ?? culture.tempC);
  const model = wayOf(kind).crowdingIn(kind, standing.measure, status.tempC);
  const gram = gramsOfOne(kind);
  const max = Math.max(...ahead.map(({ highG }) => highG), 1e-6);
  return {
    ahead,
    lineG: model ? leftForMost(model) * gram : null,
    topG: model ? Math.max(model.capacity * gram, 1e-6) : max,
  };
}
