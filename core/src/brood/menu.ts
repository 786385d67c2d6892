import type { Composition } from '../food';
import type { Prey } from './ladder';
import { usualUm } from './ladder';
import type { YoungDiet } from './programme';
import type { FirstFood } from './vocabulary';

/** A food that a brood may be given, on the shelf, from a culture, or from one that could be started. */
export interface BroodFood extends Prey {
  live: boolean;
  composition: Composition;
  /** Share of plants in its dry matter. */
  plantShare: number;
  /** Wet mass of one, µg; null for what is not counted. */
  animalUg: number | null;
  unit: { name: string; plural: string; massG: number; step: number };
  /** The culture that gives it; null for what is bought. */
  kindKey: string | null;
  foodId: string | null;
  /** It is on the shelf, or a culture of it gives. */
  there: boolean;
  /** Days from the start of a culture until it gives; 0 for what is bought. */
  leadDays: number;
  /** Grams that its cultures give today, and day after day; null where nothing limits it. */
  gives: { todayG: number; lastingG: number } | null;
}

/** Newly hatched brine shrimp are this wide at their smallest, µm; what is usually smaller is none. */
const SHRIMP_UM = 170;

/** What of the foods a practice gives: powder is for those who choose it, or where nothing live is there. */
export const menuOf = (foods: readonly BroodFood[], first: FirstFood): BroodFood[] =>
  foods.filter((food) => {
    const small = usualUm(food) < SHRIMP_UM;
    if (first === 'powder') return !food.live;
    // Film carries them until brine shrimp fits: nothing smaller is grown for them.
    if (first === 'film') return !food.live || !small;
    return !(small && (!food.live || first === 'shrimp'));
  });

/** What is given first: what stands in the water, else brine shrimp where it fits, else the smallest. */
export const defaultFirstFood = (diet: YoungDiet, mouthUm: number): FirstFood => {
  if (diet === 'grazers') return 'film';
  return mouthUm >= SHRIMP_UM ? 'shrimp' : 'smallest';
};
