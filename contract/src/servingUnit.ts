import { finersOf, unitMass, type ServingUnit } from '@open-larder/core/food';
import type { FoodRow } from './food';

/** What of a food's row decides how it is served. */
export type UnitRow = Pick<FoodRow, 'unit' | 'weighings' | 'kind' | 'family' | 'inWater'>;

/** A food's serving unit as the plan uses it: weighed in where it was, by this hand where it did. */
export function unitOf(food: UnitRow, whose: string | null): ServingUnit {
  const { massG } = unitMass(food.unit.name, food.weighings, whose, food.unit.massG);
  const unit = { ...food.unit, massG: massG.value };
  return { ...unit, mass: massG, finer: finersOf({ ...food, ...food.inWater, unit }) };
}
