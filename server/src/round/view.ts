import {
  stepsNow,
  type Feeding,
  type FoodRow,
  type RoundServingView,
  type RoundView,
} from '@open-larder/contract';
import { TRAINING_STEPS, type Round, type RoundServing, type Training } from '@open-larder/core';
import { formatManner, formatPreparation, formatUnits } from '@open-larder/say';

/** A compiled day and what became of it, as the app reads it. */
export function viewOf(
  round: Round,
  foods: ReadonlyMap<string, FoodRow>,
  fed: readonly Feeding[],
): Omit<RoundView, 'done' | 'inWater'> {
  const byServing = new Map(fed.map((feeding) => [feeding.servingId, feeding]));
  const planned = new Set<string>();
  const moments = round.moments.map(({ moment, stops }) => ({
    momentId: moment.id,
    name: moment.name,
    stops: stops.map((stop) => ({
      tankId: stop.tank.id,
      at: stop.at.toISOString(),
      minutes: stop.minutes,
      servings: stop.servings.map((serving) => {
        planned.add(serving.serving.id);
        return servingView(serving, foods, byServing.get(serving.serving.id) ?? null, round.day);
      }),
    })),
  }));
  return {
    day: round.day,
    moments,
    resting: round.groups
      .filter((groupDay) => groupDay.servings.length === 0)
      .map(({ group, rest }) => ({
        groupId: group.id,
        groupName: group.name,
        tankId: group.tankId,
        stage: group.stage,
        reason: rest ?? 'noDiet',
      })),
    parents: round.groups.flatMap(({ group }) =>
      group.parents
        ? [
            {
              groupId: group.id,
              groupName: group.name,
              tankId: group.tankId,
              count: group.count,
              ...group.parents,
            },
          ]
        : [],
    ),
    unplanned: fed.filter((feeding) => !planned.has(feeding.servingId)),
  };
}

function servingView(
  { serving, food, portion, group, mixed }: RoundServing,
  foods: ReadonlyMap<string, FoodRow>,
  fed: Feeding | null,
  day: string,
): RoundServingView {
  const { name, plural, massG, step, finer } = food.unit;
  const { training } = group;
  const stocked = foods.get(food.id);
  return {
    servingId: serving.id,
    groupId: group.id,
    groupName: group.name,
    foodId: food.id,
    foodName: food.name,
    family: stocked?.family ?? 'grain',
    prepare: stocked ? formatPreparation(stepsNow(stocked, day)) : '',
    portion: formatUnits(portion.units, food.unit),
    units: portion.units,
    unit: { name, plural, massG, step, finer: finer && [...finer] },
    massG: portion.massG,
    ofWanted: portion.ofWanted,
    zone: serving.zone,
    place: serving.place,
    manner: formatManner(serving.manner),
    mixed: mixed && training ? mixedOf(mixed, training) : null,
    fed,
  };
}

const mixedOf = (role: 'known' | 'new', { step, share }: Training) => ({
  role,
  step,
  of: TRAINING_STEPS.length,
  share,
});
