import type { Species } from '@open-larder/catalogue';
import { addDays } from '../round';
import { safeBesideCm } from './raise';
import type { BroodStatus } from './status';

/** A length at which something is done, and the day on which they are expected to be as long. */
export interface BroodCheckpoint {
  is: 'sort' | 'part' | 'safe' | 'target';
  cm: number;
  /** Null is later than is looked ahead. */
  day: string | null;
}

/** From this share of an adult’s length on kinds that live alone fight. Assumption. */
export const FIGHT_FROM = 0.4;
/** Kinds that are usually kept in such small numbers do not tolerate each other. Assumption. */
const ALONE = 2;
/** Sizes can be seen by eye from about this length, and young are sorted for the first time. Practice. */
const SORT_CM = 1.5;

/** Kinds that fight as they grow. */
export const livesAlone = ({ usualGroup }: Pick<Species, 'usualGroup'>): boolean =>
  usualGroup <= ALONE;

/** The lengths at which a brood is looked at anew, in order; those that are behind it are left out. */
export function checkpointsOf(
  species: Pick<Species, 'adultLengthCm' | 'gapeShare' | 'usualGroup'>,
  {
    lengthsCm,
    swim,
    targetCm,
    target,
    lengthCm,
  }: Pick<BroodStatus, 'lengthsCm' | 'swim' | 'targetCm' | 'target' | 'lengthCm'>,
): BroodCheckpoint[] {
  if (swim === null) return [];
  const at = (is: BroodCheckpoint['is'], cm: number): BroodCheckpoint => {
    const day = lengthsCm.findIndex((one) => one >= cm);
    return { is, cm, day: day < 0 ? null : addDays(swim.day, day) };
  };
  const points = [
    at('sort', SORT_CM),
    at('safe', safeBesideCm(species.adultLengthCm, species.gapeShare)),
    { is: 'target' as const, cm: targetCm, day: target },
    ...(livesAlone(species) ? [at('part', FIGHT_FROM * species.adultLengthCm)] : []),
  ];
  return points
    .filter(({ cm }) => cm > (lengthCm ?? 0) && cm <= species.adultLengthCm)
    .sort((a, b) => a.cm - b.cm);
}
