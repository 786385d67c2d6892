import { unitMass, type HandUnit } from '@open-larder/core/food';
import type { FoodRow } from './food';

/** A food's hand unit as the plan uses it: weighed in where it was, by this hand where it did. */
export function unitOf(food: Pick<FoodRow, 'unit' | 'weighings'>, whose: string | null): HandUnit {
  const { massG } = unitMass(food.unit.name, food.weighings, whose, food.unit.massG);
  return { ...food.unit, massG: massG.value, mass: massG };
}
