import type { Composition } from '../food';
import { digestibleEnergy } from '../food';
import { dailyNeed, hoursUntilHungry, largestMeal, type SpeciesTraits } from '../ration';

/** A food for fry: its composition, and what one of its animals weighs where it is counted. */
export interface FryFood {
  name: string;
  composition: Composition;
  /** Wet mass of one, µg; null for what is not counted. */
  animalUg: number | null;
}

export interface FryDay {
  species: SpeciesTraits;
  lengthCm: number;
  count: number;
  tempC: number;
  /** Hours of light in which they feed. */
  lightHours: number;
  /** Feeds that the keeper has moments for. */
  moments: number;
  /** Share of the need that this food is to carry, where others are shown beside it; all of it if left out. */
  share?: number;
}

/** From this share of an adult's length on they are young fish, no fry. Assumption. */
const JUVENILE_FROM = 0.35;

/** What a brood eats in a day of one food. */
export interface FryPortion {
  needKj: number;
  gramsPerDay: number;
  /** Animals a day; null for what is not counted. */
  animalsPerDay: number | null;
  /** Feeds that the gut wants in the hours of light, and those that there are. */
  mealsWanted: number;
  meals: number;
  gramsPerMeal: number;
  animalsPerMeal: number | null;
  /** Share of the day's need that its meals carry: under 1 something must stand in between. */
  carried: number;
}

/**
 * What a brood of fry is given in a day, in grams and in animals, in as many meals as there are moments
 * for. A meal is no larger than a gut takes: what the meals do not carry is left for food that stays in
 * in the tub.
 * @throws RangeError as the ration does, outside its lengths and temperatures
 */
export function fryPortion(day: FryDay, food: FryFood): FryPortion {
  const juvenile = day.lengthCm >= JUVENILE_FROM * day.species.adultLengthCm;
  const stage = juvenile ? ('juvenile' as const) : ('fry' as const);
  const group = { ...day, stage, lengthMeasured: false };
  const needKj = dailyNeed(group).value * (day.share ?? 1);
  const kjPerG = digestibleEnergy(food.name, food.composition, day.species.guild).value;
  const dry = 1 - food.composition.moisture;
  const whole = kjPerG > 0 ? needKj / kjPerG : 0;
  const mealsWanted = Math.floor(day.lightHours / hoursUntilHungry(group).value) + 1;
  const meals = Math.max(1, Math.min(mealsWanted, day.moments));
  const maxG = (largestMeal(group).value * (day.share ?? 1) * meals) / dry;
  const gramsPerDay = Math.min(whole, maxG);
  const inAnimals = (grams: number) =>
    food.animalUg === null ? null : Math.round((grams * 1e6) / food.animalUg);
  return {
    needKj,
    gramsPerDay,
    animalsPerDay: inAnimals(gramsPerDay),
    mealsWanted,
    meals,
    gramsPerMeal: gramsPerDay / meals,
    animalsPerMeal: inAnimals(gramsPerDay / meals),
    carried: whole > 0 ? gramsPerDay / whole : 1,
  };
}
