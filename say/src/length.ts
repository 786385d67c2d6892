import type { Species } from '@open-larder/catalogue';
import { lengthDoubt } from '@open-larder/core/fish';
import type { UnitChoice } from '@open-larder/core/units';
import { formatQuantity } from './figures';

type Named = Pick<Species, 'common' | 'adultLengthCm'>;

/** What to ask of a length that is long for the species; null where nothing needs asking. */
export function askLength(
  units: UnitChoice,
  { common, adultLengthCm }: Named,
  lengthCm: number,
): string | null {
  if (lengthDoubt({ adultLengthCm }, lengthCm) === null) return null;
  return `${common} grow to about ${formatQuantity(units, 'length', adultLengthCm)}. Is ${formatQuantity(units, 'length', lengthCm)} right, and in the right unit?`;
}

/** What is wrong with a length in a table, where no keeper can be asked; null where it can be believed. */
export function refuseLength(
  units: UnitChoice,
  { common, adultLengthCm }: Named,
  lengthCm: number,
): string | null {
  if (lengthDoubt({ adultLengthCm }, lengthCm) !== 'slip') return null;
  return `${common} grow to about ${formatQuantity(units, 'length', adultLengthCm)}; ${formatQuantity(units, 'length', lengthCm)} looks like another unit. Check the number and its unit`;
}
