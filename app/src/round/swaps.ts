import type { FoodRow, RoundServingView } from '@open-larder/contract';
import { unitOf } from '@open-larder/contract/servingUnit';
import { digestibleEnergy, prepared, toServingUnits } from '@open-larder/core/food';
import { fits, takes, wasEaten } from '@open-larder/core/mouth';
import type { AppData } from '../store';

/** A food that could be given in the place of another, and how much of it has as much energy. */
export interface Swap {
  food: FoodRow;
  units: number;
}

/** Too large for the mouth, or hardly taken: not offered. Assumption. */
const TAKEN = 0.25;

/** On the shelf, or given by a culture. */
export const isThere = ({ archived, remainingG, liveG }: FoodRow): boolean =>
  !archived && (remainingG > 0 || Boolean(liveG));

/**
 * Foods of the shelf that could stand in for a serving today: those that fit the mouth and are there, the
 * best taken first.
 */
export function swapsFor(serving: RoundServingView, data: AppData, hand: string | null): Swap[] {
  const group = data.groups.find(({ id }) => id === serving.groupId);
  const inHouse = data.house.groups.find(({ id }) => id === serving.groupId);
  const species = data.species.get(group?.speciesKey ?? '');
  const planned = data.foods.find(({ id }) => id === serving.foodId);
  if (!group || !inHouse || !species || !planned) return [];
  const energyOf = ({ name, composition }: FoodRow) =>
    digestibleEnergy(name, composition, species.guild).value;
  const wantedKj = serving.massG * energyOf(planned);
  return data.foods
    .flatMap((food) => {
      if (food.id === serving.foodId || !isThere(food)) return [];
      const offer = { ...food, ...prepared({ ...food.inWater, form: food.form }, food.steps) };
      const { fit } = fits(species, inHouse.lengthCm, offer, wasEaten(group, food.id));
      const { likely } = takes(species, offer);
      if (fit === 'too large' || likely.value < TAKEN) return [];
      const unit = unitOf(food, hand);
      const units = toServingUnits(wantedKj / energyOf(food), unit);
      return units > 0 ? [{ food, units, taken: likely.value }] : [];
    })
    .sort((a, b) => b.taken - a.taken || (a.food.name < b.food.name ? -1 : 1));
}
