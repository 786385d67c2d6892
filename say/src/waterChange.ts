import type { UnitChoice } from '@open-larder/core/units';
import { formatNumber, formatQuantity } from './figures';

/** A change of water that is due. */
interface WaterChange {
  litres: number;
  /** 0..1 */
  share: number;
  buckets: { full: number; ofL: number; restL: number };
  parts: readonly { name: string; litres: number }[];
  /** °C; null where it may be as cold as it comes. */
  warmTo: { from: number; to: number } | null;
}

/** «change 20 L, 25 %: 2 buckets of 10 L of tap water, at 22 °C to 26 °C» */
export function formatWaterChange(
  { litres, share, buckets, parts, warmTo }: WaterChange,
  units: UnitChoice,
): string {
  const volume = (base: number) => formatQuantity(units, 'volume', base);
  const degrees = (base: number) => formatQuantity(units, 'temperature', base);
  const { full, ofL, restL } = buckets;
  const rest = restL >= 0.05 ? ` and ${volume(restL)}` : '';
  const poured = full === 0 ? volume(restL) : `${full} buckets of ${volume(ofL)}${rest}`;
  const of = parts.map((part) => (parts.length > 1 ? `${volume(part.litres)} ` : '') + part.name);
  const warmed = warmTo ? `, at ${degrees(warmTo.from)} to ${degrees(warmTo.to)}` : '';
  return `change ${volume(litres)}, ${formatNumber(share * 100, 0)} %: ${poured} of ${of.join(' and ')}${warmed}`;
}
