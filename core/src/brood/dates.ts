import type { BreedingStrategy } from '@open-larder/catalogue/breedingStrategies';
import { addDays, daysBetween } from '../round';
import { hatching, type Window } from './development';
import { warmthOn, type BroodEvent, type BroodState } from './line';
import type { BroodTraits } from './traits';
import { STRATEGIES } from './strategies';

/** A stage on its days: the day it is expected on, or was seen on, and the window around it. */
export interface Dated {
  stage: 'wet' | 'hatch' | 'swim' | 'born';
  day: string;
  from: string;
  to: string;
  seen: boolean;
}

const datedFrom =
  (base: string) =>
  (stage: Dated['stage'], { day, from, to, seen }: Window): Dated => ({
    stage,
    day: addDays(base, Math.round(day)),
    from: addDays(base, Math.floor(from)),
    to: addDays(base, Math.ceil(to)),
    seen,
  });

const seenOn = (stage: Dated['stage'], day: string): Dated => ({
  stage,
  day,
  from: day,
  to: day,
  seen: true,
});

/**
 * The stages of a brood on their days, in order: what was seen on the day it was seen, the rest
 * computed from there.
 * @param usualC water temperature where none was read, °C
 * @returns none if its beginning is unknown
 */
export function stagesOf(
  state: BroodState,
  { eggs }: BroodTraits,
  strategy: BreedingStrategy,
  events: readonly BroodEvent[],
  usualC: number,
): Dated[] {
  const { pairedOn, spawnedOn, hatchedOn, swimmingOn } = state;
  const swims = swimmingOn === null ? [] : [seenOn(eggs ? 'swim' : 'born', swimmingOn)];
  if (eggs === null) {
    if (swims.length > 0 || hatchedOn !== null) {
      return swims.length > 0 ? swims : [seenOn('born', hatchedOn!)];
    }
    return [...waited(strategy, spawnedOn ?? pairedOn, spawnedOn)];
  }
  const usualHatch = hatching(eggs, () => usualC).hatch.day;
  const base =
    spawnedOn ?? (hatchedOn === null ? null : addDays(hatchedOn, -Math.round(usualHatch)));
  if (base === null) return swims;
  const since = (day: string | null) => (day === null ? null : Math.max(0, daysBetween(base, day)));
  const hatched = since(hatchedOn);
  const swam = since(swimmingOn);
  const dated = datedFrom(base);
  const { hatch, swim } = hatching(eggs, warmthOn(events, base, usualC), {
    // Nobody saw them hatch, but they swim: then it was before that.
    hatched: hatched === null ? null : Math.min(hatched, swam ?? Infinity),
    swimming: swam,
  });
  if (hatchedOn === null && swam !== null) return swims;
  // In a mouth nobody sees them hatch.
  const hidden = STRATEGIES[strategy.breeding].hatchesUnseen && hatchedOn === null;
  return hidden ? [dated('swim', swim)] : [dated('hatch', hatch), dated('swim', swim)];
}

/** Eggs that are stored until they are wetted, and young that are born or leave their mussel. */
function waited(
  strategy: BreedingStrategy,
  from: string | null,
  spawnedOn: string | null,
): Dated[] {
  const { storedWeeksMin: min, storedWeeksMax: max, breeding } = strategy;
  if (min !== null && max !== null) {
    if (spawnedOn === null) return [];
    const wet = { day: 7 * min, from: 7 * min, to: 7 * max, seen: false };
    return [datedFrom(spawnedOn)('wet', wet)];
  }
  const wait = STRATEGIES[breeding].bornAfter;
  if (!wait || from === null) return [];
  const middle = (wait.from + wait.to) / 2;
  return [datedFrom(from)('born', { day: middle, ...wait, seen: false })];
}

/** What is waited for: what is due by now, though an earlier stage was missed, or what comes first. */
export function nextOf(stages: readonly Dated[], today: string): Dated | null {
  const open = stages.filter(({ seen }) => !seen);
  return open.findLast(({ from }) => from <= today) ?? open[0] ?? null;
}

/** The day from which on they eat: seen, expected, or null if unknown. */
export const swimsOn = (stages: readonly Dated[]): Dated | null =>
  stages.find(({ stage }) => stage === 'swim' || stage === 'born') ?? null;
