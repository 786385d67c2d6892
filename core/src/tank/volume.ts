import { assertRange } from '../units';
import { computed, measured, type Known } from '../why';

export interface TankSize {
  /** Inside length, width and height in cm; null where only litres are known. */
  lengthCm: number | null;
  widthCm: number | null;
  heightCm: number | null;
  /** Height of the water over the floor in cm; null means 90 % of the height. */
  waterLevelCm: number | null;
  /** Litres entered by the keeper in place of measures. */
  litres: number | null;
}

/** Assumption: an open tank is filled to nine tenths of its height. */
const USUAL_FILL = 0.9;

/**
 * Litres of water in a rectangular tank, before ground and wood are taken off.
 * @returns litres with derivation; null where neither litres nor measures are known
 * @throws RangeError where the water would stand above the rim
 */
export function waterLitres(size: TankSize): Known | null {
  if (size.litres !== null) return measured('Water', size.litres, 'L', 'entered by the keeper');
  const { lengthCm, widthCm, heightCm } = size;
  if (lengthCm === null || widthCm === null || heightCm === null) return null;
  const level = size.waterLevelCm ?? heightCm * USUAL_FILL;
  assertRange('water level in cm', level, 0, heightCm);
  return computed((lengthCm * widthCm * level) / 1000, {
    label: 'Water',
    unit: 'L',
    how: 'inside length × width × water level ÷ 1000',
    from: [
      measured('Inside length', lengthCm, 'cm'),
      measured('Inside width', widthCm, 'cm'),
      measured(
        'Water level',
        level,
        'cm',
        size.waterLevelCm === null ? '90 % of height' : undefined,
      ),
    ],
  });
}
