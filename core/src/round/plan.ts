import type { Zone } from '@open-larder/catalogue';
import type { SpeciesTraits, Food } from '../ration';
import type { Stage } from '../fish';
import type { Manner } from './manner';
import type { LightHours, Moment } from './clock';

/** One line of a diet: a food at a moment, in a zone, on some weekdays. */
export interface DietServing {
  id: string;
  foodId: string;
  momentId: string;
  zone: Zone;
  /** Where in the tank, in the keeper's words: «far end», «beside the moss». */
  place: string;
  /** ISO weekdays, 1 Monday … 7 Sunday. */
  weekdays: readonly number[];
  /** This serving's weight among the servings of the same day; 1 unless the keeper says else. */
  weight: number;
  /** The keeper's own amount in hand units; null computes it. */
  ownUnits: number | null;
  manner: Manner;
}

export interface Diet {
  /** ISO weekdays without food. */
  fastWeekdays: readonly number[];
  goalFactor: number | null;
  servings: readonly DietServing[];
}

export interface HouseTank {
  id: string;
  name: string;
  walkOrder: number;
  tempC: number;
  light: LightHours;
}

export interface HouseGroup {
  id: string;
  tankId: string;
  name: string;
  species: SpeciesTraits;
  stage: Stage;
  count: number;
  lengthCm: number;
  lengthMeasured: boolean;
  diet: Diet | null;
}

/** All that a day is compiled from. */
export interface House {
  timeZone: string;
  moments: readonly Moment[];
  tanks: readonly HouseTank[];
  groups: readonly HouseGroup[];
  foods: readonly Food[];
}
