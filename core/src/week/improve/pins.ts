import type { DietServing } from '../../round';

/** What stays as the keeper has it. */
export interface Pins {
  groupIds: ReadonlySet<string>;
  foodIds: ReadonlySet<string>;
  momentIds: ReadonlySet<string>;
  servingIds: ReadonlySet<string>;
}
export const NO_PINS: Pins = {
  groupIds: new Set(),
  foodIds: new Set(),
  momentIds: new Set(),
  servingIds: new Set(),
};

/** Pins as they are kept with a plan; none where nothing was pinned. */
export const pinsOf = (
  kept: Record<'groups' | 'foods' | 'moments' | 'servings', readonly string[]> | null | undefined,
): Pins =>
  kept
    ? {
        groupIds: new Set(kept.groups),
        foodIds: new Set(kept.foods),
        momentIds: new Set(kept.moments),
        servingIds: new Set(kept.servings),
      }
    : NO_PINS;

export const isPinned = (pins: Pins, { id, foodId, momentId }: DietServing): boolean =>
  pins.servingIds.has(id) || pins.foodIds.has(foodId) || pins.momentIds.has(momentId);
