import { eatsNothing } from '../../fish';
import { isLitter } from '../../food';
import { fits, wasEaten } from '../../mouth';
import { dailyNeed, largestMeal } from '../../ration';
import { PLAIN, wallMinutes, type DietServing, type FoodRule } from '../../round';
import { eatenOf, type Drop, type FeedFood } from '../../zones';
import { energyPerGram, foodsFor } from '../aims';
import { tankOf, type WeekGroup, type WeekTask } from '../task';

/** A food that could be given to a group at a moment, in its zone and manner. */
export interface Offer {
  /** Places in the task's groups and foods, and in `momentsOf`. */
  group: number;
  food: number;
  moment: number;
  /** How it would be given. */
  like: Pick<DietServing, 'zone' | 'place' | 'manner'>;
  /** Grams in the smallest part that a hand measures. */
  stepG: number;
  /** Grams that fill its gut. */
  gutG: number;
  /** Most of such parts at once. */
  maxSteps: number;
  /** Servings in a cycle at most; Infinity without a limit. */
  maxServings: number;
  /** By kind of day, then group: share of its grams that reaches it. */
  reaches: readonly (readonly number[])[];
}

export interface TankMoment {
  id: string;
  atMin: number;
}

/** The moments of a house at this tank, by the clock. */
export function momentsOf(task: WeekTask): TankMoment[] {
  const { light } = tankOf(task);
  return task.house.moments
    .map((moment) => ({ id: moment.id, atMin: wallMinutes(moment, light) }))
    .sort((a, b) => a.atMin - b.atMin || (a.id < b.id ? -1 : 1));
}

/** A food is offered where it is taken at least so readily. Assumption. */
const TAKEN = 0.25;
/** Foods that are weighed against each other for one group: those of its plan, and the readiest. */
const FOODS_A_GROUP = 7;
/** A meal may be so much larger than the gut holds, since not all of it is eaten at once. */
const MEAL_ROOM = 1.3;
/** Less than this share of what is meant for a group never comes to it, or it is hopeless. */
const MIN_OWN = 0.2;
/** Minutes that a meal is watched when its shares are first estimated. */
const PROBE_MIN = 90;
const PROBE_STEP = 4;
/** Of a day's need. */
const PROBE_SHARE = 0.5;

/**
 * Everything that could be given: what fits, is taken, is allowed and is on the shelf. Its shares
 * are estimates until a plan with it was simulated.
 * @param kinds kinds of day for which shares are kept
 */
export function offersOf(task: WeekTask, kinds: number): Offer[] {
  const moments = momentsOf(task);
  const diets = new Map(task.house.groups.map((group) => [group.id, group.diet]));
  const days = tankOf(task).plan.cycle.days;
  const all = task.groups.flatMap((group, g) => {
    if (group.count === 0 || eatsNothing(group.stage)) return [];
    const diet = diets.get(group.id) ?? null;
    const planned = diet?.servings ?? [];
    const energies = energyPerGram(task, group);
    const largestG = largestMeal({ ...group, tempC: task.tank.tempC }).value;
    const gutOf = (food: FeedFood) => (largestG * MEAL_ROOM) / (1 - food.composition.moisture);
    const stepOf = (food: FeedFood) => food.unit.massG * food.unit.step;
    // In the smallest part that a hand measures it is more than the gut holds, even where most is lost.
    const coarse = (food: FeedFood) => stepOf(food) * MIN_OWN > gutOf(food);
    return chosenFoods(task, group, planned, diet?.rules ?? [], coarse).flatMap((f): Offer[] => {
      const food = task.foods[f]!;
      const stepG = stepOf(food);
      const stockG = task.shelf.find((one) => one.foodId === food.id)?.stockG ?? 0;
      if (stockG < stepG || energies[f]! <= 0) return [];
      const perWeek = diet?.rules.find((rule) => rule.foodId === food.id)?.mostPerWeek ?? null;
      const gutG = gutOf(food);
      return moments.map((_, moment) => ({
        group: g,
        food: f,
        moment,
        like: wayOf(task, group, food, planned),
        stepG,
        gutG,
        maxSteps: Math.max(1, Math.ceil(Math.min(gutG, stockG) / stepG)),
        maxServings: perWeek === null ? Infinity : Math.ceil((perWeek * days) / 7 - 1e-9),
        reaches: [],
      }));
    });
  });
  return probed(task, moments, all, kinds);
}

function chosenFoods(
  task: WeekTask,
  group: WeekGroup,
  planned: readonly DietServing[],
  rules: readonly FoodRule[],
  coarse: (food: FeedFood) => boolean,
): number[] {
  const inPlan = new Set(planned.map((serving) => serving.foodId));
  const never = new Set(rules.flatMap((rule) => (rule.mostPerWeek === 0 ? [rule.foodId] : [])));
  return foodsFor(task, group)
    .map((one, at) => ({ ...one, at }))
    .filter(
      ({ food, taken }) =>
        taken >= TAKEN &&
        !never.has(food.id) &&
        !isLitter(food) &&
        !coarse(food) &&
        !(task.feedingStyle.staple === 'fresh' && food.kind === 'dry') &&
        fits(group.species, group.lengthCm, { ...food, ...food.inWater }, wasEaten(group, food.id))
          .fit !== 'too large',
    )
    .sort(
      (a, b) =>
        Number(inPlan.has(b.food.id)) - Number(inPlan.has(a.food.id)) ||
        b.taken - a.taken ||
        (a.food.id < b.food.id ? -1 : 1),
    )
    .slice(0, FOODS_A_GROUP)
    .map(({ at }) => at)
    .sort((a, b) => a - b);
}

/** As the group gets this food now; else as it gets its others; else where its kind feeds. */
function wayOf(
  task: WeekTask,
  group: WeekGroup,
  food: FeedFood,
  planned: readonly DietServing[],
): Offer['like'] {
  const same = planned.find((serving) => serving.foodId === food.id) ?? planned[0];
  const zone = same?.zone ?? group.species.zone;
  const floats = food.kind === 'dry' && food.form !== 'sinks' && zone !== 'surface';
  const soaked = floats && task.feedingStyle.soak === 'soaked';
  if (same?.foodId === food.id) return { zone, place: same.place, manner: same.manner };
  return { zone, place: same?.place ?? '', manner: { ...PLAIN, soaked } };
}

/**
 * Estimate the shares of all offers: every food at every moment alone, as half a day's need of all
 * the groups that it could be meant for. Of two offers that go into the water alike, each is one half.
 */
function probed(
  task: WeekTask,
  moments: readonly TankMoment[],
  offers: readonly Offer[],
  kinds: number,
): Offer[] {
  const foods = [...new Set(offers.map((offer) => offer.food))];
  return moments.flatMap(({ atMin }, moment) =>
    foods.flatMap((f) => {
      const here = offers.filter((offer) => offer.moment === moment && offer.food === f);
      const food = task.foods[f]!;
      const drops = here.map((offer, at): Drop => {
        const group = task.groups[offer.group]!;
        const needKj = dailyNeed({ ...group, tempC: task.tank.tempC }).value;
        const massG = (needKj * PROBE_SHARE) / energyPerGram(task, group)[f]!;
        const groupId = group.id;
        return { key: `${at}`, foodId: food.id, groupId, atMin, massG, ...offer.like };
      });
      const span = { fromMin: atMin, toMin: atMin + PROBE_MIN };
      const { reaches } = eatenOf(
        { tank: task.tank, groups: task.groups, foods: [food], drops, ...span },
        { stepScale: PROBE_STEP, fill: task.groups.map(() => 0) },
      );
      return here.flatMap((offer, at): Offer[] => {
        const own = reaches[at]![offer.group]!;
        // In the smallest part that a hand measures it is more than the gut holds.
        if (own * offer.stepG > offer.gutG) return [];
        return [
          {
            ...offer,
            maxSteps: Math.ceil(offer.maxSteps / Math.max(MIN_OWN, own)),
            reaches: Array.from({ length: kinds }, () => reaches[at]!),
          },
        ];
      });
    }),
  );
}
