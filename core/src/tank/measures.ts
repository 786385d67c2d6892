import { waterLitres, USUAL_FILL, type TankWater } from './water';
import { furnishingOf } from './guesses';

/** Inside measures in cm; the depth is that of the water over the ground. */
export interface Measures {
  lengthCm: number;
  widthCm: number;
  heightCm: number;
  waterLevelCm: number;
  depthCm: number;
}

/** Litres of a tank about which nothing is known. Assumption. */
const USUAL_LITRES = 50;
/** The ground never takes more than this of the water where its depth is a guess. */
const MAX_GUESSED_GROUND = 0.25;

/**
 * Measures to draw and to simulate a tank by.
 * One known by its litres only is taken for a usual one of that size, 2 : 1 : 1.
 */
export function measuresOf(tank: TankWater): Measures {
  const side = Math.cbrt(((waterLitres(tank)?.value ?? USUAL_LITRES) * 1000) / (2 * USUAL_FILL));
  const known = tank.lengthCm !== null && tank.heightCm !== null;
  const lengthCm = known ? (tank.lengthCm as number) : 2 * side;
  const heightCm = known ? (tank.heightCm as number) : side;
  const waterLevelCm = (known ? tank.waterLevelCm : null) ?? heightCm * USUAL_FILL;
  const { groundDepthCm, guessed } = furnishingOf(tank);
  const ground = guessed.includes('groundDepthCm')
    ? Math.min(groundDepthCm, waterLevelCm * MAX_GUESSED_GROUND)
    : groundDepthCm;
  return {
    lengthCm,
    widthCm: known ? (tank.widthCm ?? lengthCm / 2) : side,
    heightCm,
    waterLevelCm,
    depthCm: Math.max(1, waterLevelCm - ground),
  };
}
