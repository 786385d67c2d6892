import type { Guild } from '@open-larder/catalogue';
import { digestibleEnergy } from '../food';
import { dailyNeed, type Belly } from '../ration';
import { hoursOfLight } from '../round';
import type { FilmSeen } from '../tank';
import type { FeedFood, FeedGroup, FeedTank } from './feeding';

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
/** What a film that was seen holds of its fullest. Assumptions. */
const SEEN: Record<FilmSeen, number> = { none: 0, thin: 0.15, furred: 0.6 };
/** A trace stays in corners and grows again. */
const TRACE = 0.001;

/** How far a guild lives by rasping the film. Assumptions. */
export const RASPS: Record<Guild, number> = {
  'film scraper': 1,
  'plant grazer': 0.8,
  'detritus feeder': 0.6,
  omnivore: 0.15,
  'invertebrate picker': 0.03,
  'filter feeder': 0,
  predator: 0,
};
/** From here on a guild lives by the film. */
const GRAZES = 0.5;
/** A grazer with such a belly has had no film, whatever the glass looks like. */
const THIN: Belly = 2;

/** Grams of one unit of film: what a small mouth takes off at a time. */
export const FILM_UNIT_G = 0.0005;

export interface Film {
  areaCm2: number;
  atFirstG: number;
  fullG: number;
  /** Grams a second, in the light, on bare glass. */
  growsGPerS: number;
}

/** Energy in a gram of film as its grazers digest it, kJ. */
const filmKjPerG = digestibleEnergy(FILM_FOOD.name, FILM_FOOD.composition, 'film scraper').value;

/**
 * What stands to be grazed in a tank at the beginning of a day, and how fast it comes back. It grows
 * towards its fullest (monomolecular, F' = r·light·(Fmax − F) − grazed): grazers take it down over
 * days to where a day's growth is what they eat in a day. Without having been seen, or beside grazers
 * with thin bellies, there is none.
 */
export function filmOf(tank: FeedTank, groups: readonly FeedGroup[]): Film {
  const floor = tank.lengthCm * tank.widthCm;
  const glass = 2 * (tank.lengthCm + tank.widthCm) * tank.depthCm;
  const areaCm2 = glass + floor * (WOOD_AREA[tank.decor] + PLANT_AREA[tank.plants]);
  const grazers = groups.filter(({ species }) => RASPS[species.guild] >= GRAZES);
  const thin = grazers.some(({ belly }) => belly != null && belly <= THIN);
  const seen = thin ? 0 : SEEN[tank.film ?? 'none'];
  const fullG = (areaCm2 / 10_000) * FULL_G_M2;
  if (seen === 0) return { areaCm2, atFirstG: 0, fullG: 0, growsGPerS: 0 };
  const lit = hoursOfLight(tank.light);
  const growsGPerS = lit === 0 ? 0 : ((areaCm2 / 10_000) * GROWN_G_M2_D) / (USUAL_LIGHT_H * 3600);
  const wantedG = grazers.reduce(
    (sum, group) =>
      sum +
      (dailyNeed({ ...group, tempC: tank.tempC }).value * RASPS[group.species.guild]) / filmKjPerG,
    0,
  );
  const grownADayG = growsGPerS * lit * 3600;
  const lastsG = grownADayG === 0 ? 0 : fullG * Math.max(0, 1 - wantedG / grownADayG);
  const heldG = wantedG > 0 ? Math.min(seen * fullG, lastsG) : seen * fullG;
  return { areaCm2, atFirstG: Math.max(TRACE * fullG, heldG), fullG, growsGPerS };
}
