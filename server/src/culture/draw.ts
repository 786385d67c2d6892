import type { Catalogue } from '@open-larder/catalogue/load';
import type { Feeding, VesselRow } from '@open-larder/contract';
import { GIVES_NOTHING } from '@open-larder/core/culture';
import { v7 as uuidv7 } from 'uuid';
import type { Clock } from '../clock';
import type { Scope } from '../db';
import { readVesselStatuses } from './status';
import { vesselsGiving } from './store';

/**
 * Take what a meal needs, and the shelf does not have, from the vessels that give its food: of each
 * its part of what they can give, so that none is emptied for the others.
 * @returns the grams that no vessel gives
 */
export async function drawFromVessels(
  scope: Scope,
  catalogue: Catalogue,
  clock: Clock,
  fed: Feeding,
  massG: number,
): Promise<number> {
  if (massG <= 0) return 0;
  const kept = await vesselsGiving(scope, fed.foodId, fed.day);
  if (kept.length === 0) return massG;
  const living = (await readVesselStatuses(scope, catalogue, clock, kept)).filter(
    (one) => !GIVES_NOTHING.has(one.status.state),
  );
  if (living.length === 0) return massG;
  const parts = partsOf(living);
  await scope.insert(
    'vessel_events',
    living.flatMap(({ id }, at) => {
      const part = massG * parts[at]!;
      return part <= 0
        ? []
        : [
            {
              id: uuidv7(),
              vesselId: id,
              kind: 'harvested',
              massG: part,
              by: 'g',
              amount: part,
              day: fed.day,
              at: fed.at,
              hand: fed.hand,
              note: '',
              feedingId: fed.id,
            },
          ];
    }),
  );
  return 0;
}

/** Each vessel's part by what it can give today, by what is in it, or all alike. */
function partsOf(living: readonly VesselRow[]): number[] {
  for (const by of ['givesG', 'contentG'] as const) {
    const sum = living.reduce((total, { status: one }) => total + one[by], 0);
    if (sum > 0) return living.map(({ status: one }) => one[by] / sum);
  }
  return living.map(() => 1 / living.length);
}
