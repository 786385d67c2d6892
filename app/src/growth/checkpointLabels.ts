import { formatNumber } from '@open-larder/say';
import type { Format } from '../store';

const DAYS_A_MONTH = 30.4375;

/** Whether a length was or will be there by its age. */
export const VERDICTS = {
  reached: 'reached',
  'on time': 'on time',
  late: 'late',
  unsure: 'may be late',
} as const;

/** «8 cm at 6 months: for the club» */
export function checkpointTitle(
  { name, lengthCm, ageDays }: { name: string; lengthCm: number; ageDays: number | null },
  format: Format,
): string {
  const age = ageDays === null ? '' : ` at ${formatNumber(ageDays / DAYS_A_MONTH, 1)} months`;
  const size = `${format.quantity('length', lengthCm)}${age}`;
  return name === '' ? size : `${size}: ${name}`;
}
