import { loadCatalogue } from '@open-larder/catalogue/load';
import { NO_PLAN, PLAIN, type FeedingModel } from '@open-larder/core';

const GROUPS_A_TANK = 4;
const SERVINGS_A_GROUP = 3;

/** A house of any size, with every species of the catalogue in turn. */
export function houseOf(tanks: number): FeedingModel {
  const { species, foods } = loadCatalogue();
  const moments = ['07:30', '12:30', '18:30'].map((name, index) => ({
    id: `m${index}`,
    name,
    anchor: 'clock' as const,
    minutes: 450 + index * 330,
  }));
  return {
    timeZone: 'Europe/Berlin',
    moments,
    tanks: Array.from({ length: tanks }, (_, index) => ({
      id: `t${index}`,
      name: `Tank ${index}`,
      walkOrder: index,
      tempC: 22 + (index % 6),
      plan: NO_PLAN,
      light: { onMin: 540 + (index % 60), offMin: 1200 },
    })),
    groups: Array.from({ length: tanks * GROUPS_A_TANK }, (_, index) => ({
      id: `g${index}`,
      tankId: `t${Math.floor(index / GROUPS_A_TANK)}`,
      name: `Group ${index}`,
      species: species[index % species.length]!,
      stage: 'adult' as const,
      count: 5 + (index % 20),
      lengthCm: 2 + (index % 8),
      lengthMeasured: true,
      lastOn: {},
      diet: {
        fastWeekdays: [7],
        goalFactor: null,
        rules: [],
        servings: Array.from({ length: SERVINGS_A_GROUP }, (__, at) => ({
          id: `s${index}-${at}`,
          foodId: foods[(index + at) % foods.length]!.key,
          momentId: `m${at}`,
          zone: 'mid' as const,
          place: '',
          days: [1, 2, 3, 4, 5, 6, 7],
          weight: 1,
          ownUnits: null,
          manner: PLAIN,
        })),
      },
    })),
    foods: foods.map((food) => ({
      id: food.key,
      name: food.name,
      composition: food,
      unit: {
        name: food.unitName,
        plural: food.unitPlural,
        massG: food.unitMassG,
        step: food.unitStep,
      },
    })),
  };
}
