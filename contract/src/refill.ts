import { refillOf, USUAL_BUCKET_L, type Refill } from '@open-larder/core/water/refill';
import type { Tank } from './tank';

/** A change of a tank's water in buckets, by what its plan says of the new water. */
export function refillFor(tank: Tank, litres: number, tankLitres: number): Refill {
  const water = tank.plan?.water ?? null;
  return refillOf(
    Math.min(litres, tankLitres),
    { litres: tankLitres, tempC: tank.tempC, gh: tank.gh, tdsMgL: null },
    [
      {
        name: water?.source?.name ?? 'new water',
        tempC: water?.source?.tempC ?? tank.tempC,
        gh: water?.source?.gh ?? null,
        tdsMgL: water?.source?.tdsMgL ?? null,
        nitrateMgL: water?.sourceMgL ?? 0,
      },
      water?.second ?? null,
    ],
    water?.bucketL ?? USUAL_BUCKET_L,
    water?.mixTo ?? null,
  );
}
