import { formatNumber } from '../units';

/** Shares that are common fractions are said as such: «½ cube», not «0.5 cube». */
const FRACTIONS: Record<string, string> = { '0.25': '¼', '0.5': '½', '0.75': '¾' };

/** «3», «½», «1¼» */
export function formatAmount(units: number): string {
  const whole = Math.floor(units + 1e-9);
  const fraction = FRACTIONS[formatNumber(units - whole, 2)];
  if (fraction === undefined) return formatNumber(units, 2);
  return whole === 0 ? fraction : `${whole}${fraction}`;
}
