import type { FeedFood, FeedTank } from './feeding';
import { hoursOfLight } from '../round';

/**
 * The living layer on glass, wood, stone and leaves as a food, as it is rasped off.
 * Composition: about a quarter protein and a quarter ash of its dry matter
 * (Azim et al. 2005, Periphyton: Ecology, Exploitation and Management).
 */
export const FILM_FOOD: FeedFood = {
  id: 'film',
  name: 'Film on glass and wood',
  kind: 'live',
  family: 'mortar',
  composition: { protein: 0.025, fat: 0.005, fibre: 0.015, ash: 0.025, moisture: 0.9 },
  plantShare: 0.7,
  form: 'sinks',
  inWater: { floatMinutes: 0, sinkCmPerS: 0, particleMinMm: 0.1, particleMaxMm: 0.1 },
  steps: [],
  unit: { massG: 1, step: 1 },
  liftAfterMin: null,
};

/** Grown area as a share of the floor: assumptions by how much there is. */
const WOOD_AREA = { none: 0, some: 0.3, much: 0.8 };
const PLANT_AREA = { none: 0, few: 0.3, many: 1, dense: 2 };
/**
 * Fresh grams on a square metre when nothing more grows, and grown in a day of ten hours' light.
 * Assumptions, well under the ponds of Azim et al. 2005: lamps are weak and glass is wiped.
 */
const FULL_G_M2 = 30;
const GROWN_G_M2_D = 4;
const USUAL_LIGHT_H = 10;
/** How grown it is at first. Assumption: a running tank that is grazed. */
const AT_FIRST = 0.3;

/** Grams of one unit of film: what a small mouth takes off at a time. */
export const FILM_UNIT_G = 0.0005;

export interface Film {
  areaCm2: number;
  atFirstG: number;
  fullG: number;
  /** Grams a second, in the light, on bare glass. */
  growsGPerS: number;
}

/** What stands to be grazed in a tank. */
export function filmOf(tank: FeedTank): Film {
  const floor = tank.lengthCm * tank.widthCm;
  const glass = 2 * (tank.lengthCm + tank.widthCm) * tank.depthCm;
  const areaCm2 = glass + floor * (WOOD_AREA[tank.decor] + PLANT_AREA[tank.plants]);
  const fullG = (areaCm2 / 10_000) * FULL_G_M2;
  const lit = hoursOfLight(tank.light);
  return {
    areaCm2,
    atFirstG: fullG * AT_FIRST,
    fullG,
    growsGPerS: lit === 0 ? 0 : ((areaCm2 / 10_000) * GROWN_G_M2_D) / (USUAL_LIGHT_H * 3600),
  };
}
