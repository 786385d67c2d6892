import { digestibleEnergy, mealSteps, toGrams, toServingUnits } from '../food';
import { fits, readiness, takes, wasEaten } from '../mouth';
import type { DietServing, Manner } from '../round';
import type { Drop, FeedFood, FeedGroup, Feeding } from './feeding';

/** A moment at which this tank could be fed. */
export interface FeedMoment {
  id: string;
  /** Minutes after midnight at this tank. */
  atMin: number;
}

/** One way in which a serving could be given otherwise. */
export type Change =
  | { kind: 'moment'; key: string; momentId: string }
  | { kind: 'split'; key: string; momentId: string }
  | { kind: 'food'; key: string; foodId: string }
  | { kind: 'place'; key: string; place: string }
  | { kind: 'carried' | 'soaked' | 'apart'; key: string }
  | { kind: 'later'; key: string; afterMin: number }
  | { kind: 'spots'; key: string; spots: number };

/** Where nobody else is fed: the words that go into the plan. */
export const FAR_END = 'far end';
/** By then the others are busy, minutes. */
const LATER_MIN = [5, 15];
const SPOTS = [2, 3];
/** Foods of the shelf that are tried in a serving's place, the likeliest first. */
const FOODS_TRIED = 4;
/** A food is tried where it is taken at least so readily. */
const TAKEN = 0.5;

/** Every single change to the servings of one group that could be tried. */
export function changesFor(
  feeding: Feeding,
  groupId: string,
  moments: readonly FeedMoment[],
): Change[] {
  const group = feeding.groups.find((one) => one.id === groupId);
  if (!group) return [];
  return feeding.drops
    .filter((drop) => drop.groupId === groupId)
    .flatMap((drop) => changesOf(feeding, group, drop, moments));
}

function changesOf(
  feeding: Feeding,
  group: FeedGroup,
  drop: Drop,
  moments: readonly FeedMoment[],
): Change[] {
  const { key, manner } = drop;
  const food = feeding.foods.find((one) => one.id === drop.foodId);
  const elsewhen = moments.filter(({ atMin }) => atMin !== drop.atMin);
  const withOthers = feeding.drops.some(
    (other) => other.groupId !== drop.groupId && other.atMin === drop.atMin,
  );
  const floats = food !== undefined && food.kind === 'dry' && food.form !== 'sinks';
  const changes: (Change | false)[] = [
    ...elsewhen.map(({ id }): Change => ({ kind: 'moment', key, momentId: id })),
    ...elsewhen.map(({ id }): Change => ({ kind: 'split', key, momentId: id })),
    ...LATER_MIN.map(
      (afterMin): Change | false =>
        withOthers && afterMin > manner.afterMin && { kind: 'later', key, afterMin },
    ),
    ...SPOTS.map((spots): Change | false => spots > manner.spots && { kind: 'spots', key, spots }),
    drop.place !== FAR_END && withOthers && { kind: 'place', key, place: FAR_END },
    !manner.carried && ['mid', 'bottom'].includes(drop.zone) && { kind: 'carried', key },
    !manner.soaked && floats && { kind: 'soaked', key },
    !manner.apart && feeding.groups.length > 1 && { kind: 'apart', key },
    ...otherFoods(feeding, group, drop).map(({ id }): Change => ({
      kind: 'food',
      key,
      foodId: id,
    })),
  ];
  return changes.filter((change) => change !== false);
}

/** Foods that fit its mouth and that it takes, the readiest first. */
function otherFoods(feeding: Feeding, group: FeedGroup, drop: Drop): FeedFood[] {
  const { species, lengthCm } = group;
  return feeding.foods
    .filter((food) => food.id !== drop.foodId)
    .map((food) => {
      const offer = { ...food, ...food.inWater };
      const { fit } = fits(species, lengthCm, offer, wasEaten(group, food.id));
      return { food, fit, likely: readiness(group, food.id, takes(species, offer).likely.value) };
    })
    .filter(({ fit, likely }) => likely >= TAKEN && fit !== 'too large')
    .sort((a, b) => b.likely - a.likely || (a.food.id < b.food.id ? -1 : 1))
    .slice(0, FOODS_TRIED)
    .map(({ food }) => food);
}

/**
 * The feeding as it would be with a change.
 * Another food is given to the same energy; a split gives half at each of both moments; both as a
 * hand can measure them, since the plan will round them too.
 */
export function changed(feeding: Feeding, change: Change, moments: readonly FeedMoment[]): Feeding {
  const drops = feeding.drops.flatMap((drop) =>
    drop.key === change.key ? changedDrop(feeding, drop, change, moments) : drop,
  );
  return { ...feeding, drops: drops.sort((a, b) => a.atMin - b.atMin) };
}

function changedDrop(
  feeding: Feeding,
  drop: Drop,
  change: Change,
  moments: readonly FeedMoment[],
): Drop[] {
  const manner = (news: Partial<Manner>) => [{ ...drop, manner: { ...drop.manner, ...news } }];
  const atMin = (momentId: string) =>
    moments.find(({ id }) => id === momentId)?.atMin ?? drop.atMin;
  switch (change.kind) {
    case 'moment':
      return [{ ...drop, atMin: atMin(change.momentId) }];
    case 'split': {
      const half = { ...drop, massG: served(feeding, drop.foodId, drop.massG / 2) };
      return [half, { ...half, key: `${drop.key}+`, atMin: atMin(change.momentId) }];
    }
    case 'food':
      return [{ ...drop, foodId: change.foodId, massG: sameEnergy(feeding, drop, change.foodId) }];
    case 'place':
      return [{ ...drop, place: change.place }];
    case 'later':
      return manner({ afterMin: change.afterMin });
    case 'spots':
      return manner({ spots: change.spots });
    default:
      return manner({ [change.kind]: true });
  }
}

function sameEnergy({ foods, groups }: Feeding, drop: Drop, foodId: string): number {
  const guild = groups.find((group) => group.id === drop.groupId)?.species.guild ?? 'omnivore';
  const energyOf = (id: string) => {
    const food = foods.find((one) => one.id === id);
    return food ? digestibleEnergy(food.name, food.composition, guild).value : 0;
  };
  const other = energyOf(foodId);
  const massG = other > 0 ? (drop.massG * energyOf(drop.foodId)) / other : drop.massG;
  return served({ foods }, foodId, massG);
}

/** To what a hand can measure of a food. */
function served({ foods }: Pick<Feeding, 'foods'>, foodId: string, massG: number): number {
  const unit = foods.find((food) => food.id === foodId)?.unit;
  return unit ? toGrams(toServingUnits(massG, unit), unit) : massG;
}

/**
 * The servings of a diet with a change put in: what `changed` simulated, on every day of the serving.
 * @param newId an id for a serving that a split adds
 */
export function inDiet(
  servings: readonly DietServing[],
  change: Change,
  newId: () => string,
): DietServing[] {
  return servings.flatMap((serving) => {
    if (serving.id !== change.key) return serving;
    const manner = (news: Partial<Manner>) => ({
      ...serving,
      manner: { ...serving.manner, ...news },
    });
    switch (change.kind) {
      case 'moment':
        return { ...serving, momentId: change.momentId };
      case 'split': {
        const half = {
          ...serving,
          weight: serving.weight / 2,
          ownUnits: serving.ownUnits === null ? null : serving.ownUnits / 2,
        };
        return [half, { ...half, id: newId(), momentId: change.momentId }];
      }
      case 'food':
        // An amount of the keeper's own was of the other food: it is recalculated.
        return { ...serving, foodId: change.foodId, ownUnits: null };
      case 'place':
        return { ...serving, place: change.place };
      case 'later':
        return manner({ afterMin: change.afterMin });
      case 'spots':
        return manner({ spots: change.spots });
      default:
        return manner({ [change.kind]: true });
    }
  });
}

/** Minutes of a keeper's hands that a change costs. Assumptions. */
const WORK_MIN: Record<Exclude<Change['kind'], 'food'>, number> = {
  moment: 0,
  split: 1,
  place: 0.2,
  carried: 1,
  soaked: 0.5,
  apart: 5,
  later: 1,
  spots: 0.3,
};
/** A moment at which nobody walks to this tank yet. Assumption. */
const NEW_STOP_MIN = 1.5;

/** Minutes of work more than now. */
export function workOf(feeding: Feeding, change: Change, moments: readonly FeedMoment[]): number {
  if (change.kind === 'food') {
    const drop = feeding.drops.find((one) => one.key === change.key);
    const of = (id: string | undefined) =>
      mealSteps(feeding.foods.find((food) => food.id === id)?.steps ?? []).reduce(
        (sum, step) => sum + step.workMin,
        0,
      );
    return of(change.foodId) - of(drop?.foodId);
  }
  const walk = 'momentId' in change && moments.find(({ id }) => id === change.momentId);
  const isNew = walk && !feeding.drops.some((drop) => drop.atMin === walk.atMin);
  return WORK_MIN[change.kind] + (isNew ? NEW_STOP_MIN : 0);
}
