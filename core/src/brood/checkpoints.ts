import type { Species } from '@open-larder/catalogue';
import { addDays } from '../round';
import type { Checkpoint } from '../growth';
import { safeBesideCm } from './raise';
import type { BroodStatus } from './status';

/** A length at which something is done, and the day on which they are expected to be as long. */
export interface BroodCheckpoint {
  is: 'sort' | 'part' | 'safe' | 'target' | 'own';
  cm: number;
  /** Null is later than is looked ahead. */
  day: string | null;
  /** Of the keeper’s own: what for, by which age, days; null where any age will do. */
  own: OwnCheckpoint | null;
}

/** A length that the keeper set. Ages count from hatching, or from the day they swam or were born. */
export interface OwnCheckpoint {
  name: string;
  ageDays: number | null;
  dueOn: string | null;
  /** «unsure» where the days on which it may be reached lie on both sides of the one that it is due. */
  verdict: 'reached' | 'on time' | 'late' | 'unsure' | null;
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

/** When a length is reached: most likely, and at the earliest and the latest. */
export interface ReachedOn {
  day: string;
  from: string;
  to: string;
}

/**
 * The lengths at which a brood is looked at anew, in order. Those that are behind it are left out, but for
 * the keeper’s own, which say that they were reached.
 * @param bornOn  from which ages count; null before
 * @param reached when a length is reached; null if never
 */
export function checkpointsOf(
  species: Pick<Species, 'adultLengthCm' | 'gapeShare' | 'usualGroup'>,
  {
    lengthsCm,
    swim,
    targetCm,
    target,
    lengthCm,
  }: Pick<BroodStatus, 'lengthsCm' | 'swim' | 'targetCm' | 'target' | 'lengthCm'>,
  own: readonly Checkpoint[],
  bornOn: string | null,
  reached: (cm: number) => ReachedOn | null,
): BroodCheckpoint[] {
  if (swim === null) return [];
  const at = (is: BroodCheckpoint['is'], cm: number): BroodCheckpoint => {
    const day = lengthsCm.findIndex((one) => one >= cm);
    return { is, cm, day: day < 0 ? null : addDays(swim.day, day), own: null };
  };
  const usual = [
    // Kinds that are hardly longer as adults are given away before sizes part.
    ...(SORT_CM < targetCm ? [at('sort', SORT_CM)] : []),
    at('safe', safeBesideCm(species.adultLengthCm, species.gapeShare)),
    { is: 'target' as const, cm: targetCm, day: target, own: null },
    ...(livesAlone(species) ? [at('part', FIGHT_FROM * species.adultLengthCm)] : []),
  ].filter(({ cm }) => cm > (lengthCm ?? 0) && cm <= species.adultLengthCm);
  const set = own.map(({ name, lengthCm: cm, ageDays }): BroodCheckpoint => {
    const when = reached(cm);
    const dueOn = bornOn === null || ageDays === null ? null : addDays(bornOn, ageDays);
    const there = lengthCm !== null && lengthCm >= cm;
    const verdict = there ? 'reached' : dueOn === null ? null : verdictOf(when, dueOn);
    return {
      is: 'own',
      cm,
      day: there ? null : (when?.day ?? null),
      own: { name, ageDays, dueOn, verdict },
    };
  });
  return [...usual, ...set].sort((a, b) => a.cm - b.cm);
}

function verdictOf(when: ReachedOn | null, dueOn: string): OwnCheckpoint['verdict'] {
  if (when === null || when.from > dueOn) return 'late';
  return when.to <= dueOn ? 'on time' : 'unsure';
}
