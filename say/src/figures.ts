import { shownScale, type Measure, type UnitChoice } from '@open-larder/core/units';

/** A base value as the keeper reads it, «10.5 cm», with trailing zeros dropped. */
export function formatQuantity(choice: UnitChoice, measure: Measure, base: number): string {
  const scale = shownScale(choice, measure, base);
  return `${formatNumber(scale.fromBase(base), scale.decimals)} ${scale.unit}`;
}

/** A number with at most `decimals` decimals and no trailing zeros. */
export function formatNumber(value: number, decimals: number): string {
  const text = value.toFixed(decimals);
  return text.includes('.') ? text.replace(/\.?0+$/, '') : text;
}

/** A share as «25 %». */
export const formatPercent = (share: number): string => `${Math.round(share * 100)} %`;

/** mg/L to what a test or a forecast of it knows: «29», «8.5», «0.31». */
export const formatMgL = (value: number): string =>
  formatNumber(value, value >= 10 ? 0 : value >= 1 ? 1 : 2);

/** Some significant digits, never in exponent form: for masses from micrograms to kilograms. */
export function formatSignificant(value: number, digits = 3): string {
  if (value === 0 || !Number.isFinite(value)) return String(value);
  const decimals = Math.max(0, Math.min(9, digits - 1 - Math.floor(Math.log10(Math.abs(value)))));
  return formatNumber(value, decimals);
}
