import { QUIET_ROUNDING } from '@open-larder/core/ration';

/**
 * What rounding to serving units, or the keeper, made of a ration: «9 % under the need».
 * @param ofWanted what is served ÷ what is needed
 * @returns empty where it is not worth saying
 */
export function formatRounding(ofWanted: number): string {
  const off = Math.abs(ofWanted - 1);
  if (off <= QUIET_ROUNDING + 1e-9) return '';
  if (ofWanted >= 2) return `${Math.round(ofWanted * 10) / 10} times the need`;
  return `${Math.round(off * 100)} % ${ofWanted > 1 ? 'over' : 'under'} the need`;
}
