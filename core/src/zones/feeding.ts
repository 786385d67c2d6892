import type { FoodFamily, FoodKind, PreparationStep, Species, Zone } from '@open-larder/catalogue';
import type { GrownFrom, Stage } from '../fish';
import type { Composition, ServingUnit, InWater } from '../food';
import type { SeenFoods } from '../mouth';
import type { Belly, SpeciesTraits } from '../ration';
import type { LightHours, Manner } from '../round';
import type { FilmSeen, TankFurnishing } from '../tank';

/** What of a species decides who gets the food. */
export type FeedTraits = SpeciesTraits &
  Pick<
    Species,
    | 'gapeShare'
    | 'takesDry'
    | 'plantShareMin'
    | 'plantShareMax'
    | 'capped'
    | 'presenceDay'
    | 'presenceNight'
    | 'activityByLight'
    | 'boldness'
    | 'sourceBehaviour'
  > &
  Partial<Pick<Species, 'family'>>;

/** The water that is fed into, inside measures in cm. */
export interface FeedTank {
  lengthCm: number;
  widthCm: number;
  /** Depth of the water over the ground. */
  depthCm: number;
  litres: number;
  tempC: number;
  light: LightHours;
  flow: NonNullable<TankFurnishing['flow']>;
  decor: NonNullable<TankFurnishing['decor']>;
  plants: NonNullable<TankFurnishing['plants']>;
  ground?: NonNullable<TankFurnishing['ground']>;
  /** The film as it was seen in the last week; what was not seen is not there. */
  film?: FilmSeen;
}

export interface FeedGroup extends SeenFoods {
  id: string;
  name: string;
  species: FeedTraits;
  stage: Stage;
  count: number;
  lengthCm: number;
  lengthMeasured: boolean;
  /** Where it grew since it was measured: what `lengthCm` was worked out from. */
  grown?: GrownFrom | null;
  goalFactor: number | null;
  belly?: Belly | null;
  /** Raises a feeding day for the fasting days of its week. */
  fastFactor?: number;
  /** What was learned at this tank, as multiples of what its species and size let expect. */
  learned?: Learned & { sure?: LearnedSure };
}

/** Multiples of the starting traits; 1 where nothing was learned. */
export interface Learned {
  /** How fast it finds food. */
  search: number;
  /** How readily it takes what it finds. */
  taking: number;
  /** How much of the group comes out and to the food. */
  coming: number;
}

/** How sure each of them is: 0 nothing was seen, 1 beyond doubt. */
export type LearnedSure = { [T in keyof Learned]: number };

/** A food with nothing left blank: whoever builds a feeding puts stated defaults in. */
export interface FeedFood {
  id: string;
  name: string;
  kind: FoodKind;
  family: FoodFamily;
  composition: Composition;
  plantShare: number;
  form: 'floats' | 'sinksSlowly' | 'sinks';
  inWater: InWater &
    Record<'floatMinutes' | 'sinkCmPerS' | 'particleMinMm' | 'particleMaxMm', number>;
  steps: readonly PreparationStep[];
  /** What a hand measures of it: a changed portion is one that can be served. */
  unit: Pick<ServingUnit, 'massG' | 'step'>;
  /** Minutes after which what is left is lifted; null leaves it. */
  liftAfterMin: number | null;
}

/** Food that goes into the water once. */
export interface Drop {
  key: string;
  foodId: string;
  /** The group that it is meant for. */
  groupId: string;
  /** Minutes after midnight; the manner's own minutes come on top. */
  atMin: number;
  massG: number;
  zone: Zone;
  /** Where in the tank, in the keeper's words: drops of one place share it. */
  place: string;
  manner: Manner;
}

/** Everything that a simulation starts from. */
export interface Feeding {
  tank: FeedTank;
  groups: readonly FeedGroup[];
  foods: readonly FeedFood[];
  drops: readonly Drop[];
  /**
   * What went in on the days before, the nearest first, each by the clock of its own day: what of it
   * still stands is there at first. Left out where nothing stands.
   */
  before?: readonly (readonly Drop[])[];
  /** Minutes after midnight between which it runs. */
  fromMin: number;
  toMin: number;
}
