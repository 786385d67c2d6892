import { toHandUnits } from '../food';
import type { Rung } from './ladder';
import type { BroodFood } from './menu';
import { fryPortion } from './portion';
import type { BroodTask, BroodTub } from './stand';

/** What a brood gets of one food on a day. */
export interface Feed {
  key: string;
  name: string;
  live: boolean;
  share: number;
  gramsPerDay: number;
  meals: number;
  mealsWanted: number;
  gramsPerMeal: number;
  animalsPerMeal: number | null;
  unitsPerMeal: number;
  unit: BroodFood['unit'];
  carried: number;
}

/** What is given on a day of age: rungs that overlap share it. */
export function feedsOf(
  task: BroodTask,
  rungs: readonly Rung<BroodFood>[],
  lengthCm: number,
  count: number,
  age: number,
  { tempC }: BroodTub,
): Feed[] {
  const on = rungs.filter(({ from, to }) => from <= age && age < to);
  return on.map(({ prey }): Feed => {
    const portion = fryPortion(
      {
        species: task.species,
        lengthCm,
        count,
        tempC,
        lightHours: task.lightHours,
        moments: task.feeds,
        share: 1 / on.length,
      },
      prey,
    );
    return {
      key: prey.key,
      name: prey.name,
      live: prey.live,
      share: 1 / on.length,
      gramsPerDay: portion.gramsPerDay,
      meals: portion.meals,
      mealsWanted: portion.mealsWanted,
      gramsPerMeal: portion.gramsPerMeal,
      animalsPerMeal: portion.animalsPerMeal,
      unitsPerMeal: toHandUnits(portion.gramsPerMeal, prey.unit),
      unit: prey.unit,
      carried: portion.carried,
    };
  });
}
