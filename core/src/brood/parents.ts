import type { BreedingStrategy } from '@open-larder/catalogue/breedingStrategies';
import { addDays, daysBetween } from '../round';
import { broodOn, guardIsFree, type BroodEvent } from './line';
import { STRATEGIES } from './strategies';
import type { Raising } from './vocabulary';

/** A brood as far as its parents’ meals go. */
export interface ParentsTask {
  strategy: BreedingStrategy;
  events: readonly BroodEvent[];
  raising: Raising;
  today: string;
}

/** What a brood changes in the meals of its parents’ group on a day. */
export interface ParentsDay {
  is: 'spawning' | 'guarding' | 'recovering';
  /** Adults that it is about. */
  animals: number;
  /** Their share of a usual portion, 0 upwards. */
  share: number;
  /** Days that it has lasted, from 1. */
  day: number;
}

/** Guarding or holding parents fast, and are built up again afterwards, for so many days. Assumption. */
export const RECOVER_DAYS = 10;
/** A third more until they are built up. Assumption. */
const RECOVER_SHARE = 4 / 3;
/** A pair that was put together is left alone for so long: then it eats again, spawned or not. Assumption. */
const PAIR_DAYS = 2;
const PAIR = 2;

const GUARDS = { none: 0, male: 1, female: 1, either: 1, pair: 2 } as const;

/** Whether one that guards or holds eats less than usual. */
export const fastsOnPrinciple = ({ breeding }: Pick<BreedingStrategy, 'breeding'>): boolean =>
  STRATEGIES[breeding].guardShare < 1;

/** What the meals of the parents are on a day: as usual is null. */
export function parentsOn({ strategy, events, raising, today }: ParentsTask): ParentsDay | null {
  const { pairFasts, guardShare } = STRATEGIES[strategy.breeding];
  const state = broodOn(events, today);
  if (state.phase === 'over') return null;
  const since = (day: string | null) => (day === null ? null : daysBetween(day, today));
  const paired = since(state.pairedOn);
  if (state.phase === 'paired' && paired !== null && paired < PAIR_DAYS && pairFasts) {
    return { is: 'spawning', animals: PAIR, share: 0, day: paired + 1 };
  }
  const guards = GUARDS[strategy.guards];
  const holding = state.phase === 'eggs' || state.phase === 'larvae';
  if (holding && guards > 0 && !guardIsFree(state) && fastsOnPrinciple(strategy)) {
    const day = (since(state.spawnedOn ?? state.hatchedOn) ?? 0) + 1;
    return { is: 'guarding', animals: guards, share: guardShare, day };
  }
  const swum = since(state.swimmingOn);
  const apart = raising === 'apart' && strategy.parents === 'pull';
  if (swum !== null && swum < RECOVER_DAYS && strategy.recovers !== null && !apart && guards > 0) {
    return { is: 'recovering', animals: guards, share: RECOVER_SHARE, day: swum + 1 };
  }
  return null;
}

/** A pair is conditioned for so long if not said. Starting value: one to several weeks. */
export const CONDITION_DAYS = 14;

/**
 * The day from which a pair that was conditioned is fed as ever, even if the keeper forgot to end it: when
 * its days are over, or it has spawned.
 * @returns null where it never was conditioned
 */
export function conditioningEndsOn(
  events: readonly Pick<BroodEvent, 'kind' | 'day'>[],
  conditionDays: number | null,
): string | null {
  const first = (...kinds: BroodEvent['kind'][]) =>
    events
      .filter(({ kind }) => kinds.includes(kind))
      .map(({ day }) => day)
      .sort()[0];
  const from = first('conditioned');
  if (from === undefined) return null;
  const over = addDays(from, conditionDays ?? CONDITION_DAYS);
  const spawned = first(...SPAWNED);
  return spawned !== undefined && spawned >= from && spawned < over ? spawned : over;
}

/** What shows that they have spawned. */
const SPAWNED = ['spawned', 'eggsSeen', 'hatched', 'swimming', 'firstFood'] as const;

/** A group’s portion where some of its animals get another: as a share of all of them, 0 upwards. */
export const portionOfGroup = ({ animals, share }: ParentsDay, count: number): number => {
  if (count <= 0) return 1;
  const others = Math.min(animals, count);
  return (count - others + others * share) / count;
};
