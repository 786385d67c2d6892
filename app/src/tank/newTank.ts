import type { TankValues } from './TankForm';

/** Starting values of a new tank: few questions, and guesses that can be seen. */
export function blankTank(walkOrder: number): TankValues {
  return {
    name: '',
    lengthCm: null,
    widthCm: null,
    heightCm: null,
    waterLevelCm: null,
    litres: null,
    tempC: 25,
    ph: null,
    lightOnMin: 600,
    lightOffMin: 1200,
    walkOrder,
    version: 1,
    archived: false,
  };
}
