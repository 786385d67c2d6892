import type { PreparationStep } from '@open-larder/catalogue';
import { formatNumber, formatSignificant } from './figures';

/** «soak 2 h, then rinse»; a minute or two is not worth naming. */
export function formatPreparation(steps: readonly PreparationStep[]): string {
  return steps
    .map(({ kind, leadMin, toMm }) => {
      const size = toMm === null ? '' : ` to ${formatSignificant(toMm)} mm`;
      return leadMin < NAMED_MIN ? `${kind}${size}` : `${kind}${size} ${formatMinutes(leadMin)}`;
    })
    .join(', then ');
}

const NAMED_MIN = 5;

/** «45 min», «2 h», «1½ d»: to a half. */
export function formatMinutes(minutes: number): string {
  const [value, unit] =
    minutes < 90
      ? [Math.round(minutes), 'min']
      : minutes < 48 * 60
        ? [Math.round(minutes / 30) / 2, 'h']
        : [Math.round(minutes / 720) / 2, 'd'];
  return `${formatNumber(value, 1)} ${unit}`;
}
