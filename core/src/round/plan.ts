import type { Zone } from '@open-larder/catalogue';
import type { Belly, Food, SpeciesTraits } from '../ration';
import type { GrownFrom, Stage } from '../fish';
import type { Manner } from './manner';
import type { LifeKind } from '../group';
import type { LightHours, Moment } from './clock';
import { WEEK, type Cycle } from './cycle';
import type { Training } from './training';
import type { PlannedFast } from './fast';
import type { Period } from './period';

/** One line of a diet: a food at a moment, in a zone, on some days of the tank's cycle. */
export interface DietServing {
  id: string;
  foodId: string;
  momentId: string;
  zone: Zone;
  /** Where in the tank, in the keeper's words: «far end», «beside the moss». */
  place: string;
  /** Days of the tank's cycle, from 1; of a week the ISO weekdays, 1 Monday … 7 Sunday. */
  days: readonly number[];
  /** This serving's weight among the servings of the same day; 1 unless the keeper says else. */
  weight: number;
  /** The keeper's own amount in serving units; null computes it. */
  ownUnits: number | null;
  manner: Manner;
}

export interface Diet {
  /** ISO weekdays without food. */
  fastWeekdays: readonly number[];
  goalFactor: number | null;
  servings: readonly DietServing[];
  rules: readonly FoodRule[];
}

/** What the keeper knows of a group and a food. */
export interface FoodRule {
  foodId: string;
  /** How readily the group takes it, 0..1; null leaves what its kind lets expect. */
  taken: number | null;
  /** Servings of it in seven days at most: 0 is never; null sets no limit. */
  mostPerWeek: number | null;
}

/** What is planned for a tank as a whole. */
export interface TankPlan {
  cycle: Cycle;
  fasts: readonly PlannedFast[];
  /** Parts of the year in which it is fed otherwise; left out where there are none. */
  periods?: readonly Period[] | null;
}

/** A tank about which nothing was said: its plan repeats by the week. */
export const NO_PLAN: TankPlan = { cycle: WEEK, fasts: [] };

export interface HouseTank {
  id: string;
  name: string;
  walkOrder: number;
  tempC: number;
  light: LightHours;
  plan: TankPlan;
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
  /** Where it grew since it was measured: what `lengthCm` was worked out from. */
  grown?: GrownFrom | null;
  /** The last day on which each kind of thing happened to it. */
  lastOn: Partial<Record<LifeKind, string>>;
  /** How its bellies looked last; left out if not observed lately. */
  belly?: Belly | null;
  diet: Diet | null;
  /** A food that it is being trained onto; left out where there is none. */
  training?: InTraining | null;
  /** What a brood changes in its meals on the day; left out where none does. */
  parents?: ParentsMeals | null;
}

/** Some of a group spawn, guard or hold, or are built up again: its portion for that day. */
export interface ParentsMeals {
  is: 'spawning' | 'guarding' | 'recovering';
  broodName: string;
  /** Animals that it is about, and what the group gets as a share of its usual portion, 0 upwards. */
  animals: number;
  share: number;
}

/** One serving of a diet is a mixed meal for now: a known food, and a little of a new one. */
export interface InTraining extends Training {
  id: string;
  /** The serving of the food that they take. */
  servingId: string;
  /** The new food. */
  foodId: string;
}

/** All that a day is compiled from. */
export interface FeedingModel {
  timeZone: string;
  moments: readonly Moment[];
  tanks: readonly HouseTank[];
  groups: readonly HouseGroup[];
  foods: readonly Food[];
}
