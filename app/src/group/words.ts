import type { GroupSize } from '@open-larder/core';

/** «3 m, 5 f» where sexes are known, else the number alone. */
export function saySize({ males, females, unsexed, total }: GroupSize): string {
  if (males + females === 0) return `${total} fish`;
  const parts = [males && `${males} m`, females && `${females} f`, unsexed && `${unsexed} unsexed`];
  return `${total} fish (${parts.filter(Boolean).join(', ')})`;
}
