import type { Species } from '@open-larder/catalogue';
import type { BreedingStrategy } from '@open-larder/catalogue/breedingStrategies';
import type { EggTraits } from './development';
import type { YoungTraits } from './length';

type Bred = Pick<
  Species,
  | 'hatchDegreeDays'
  | 'swimDegreeDays'
  | 'hatching'
  | 'larvalLengthMm'
  | 'growth'
  | 'tempOptC'
  | 'defaulted'
>;

/** What the eggs and young of a species are computed with, and which of it is only of its way of life. */
export interface BroodTraits extends YoungTraits {
  /** Null for live-bearers, and where eggs are stored: there is no hatching to wait for. */
  eggs: EggTraits | null;
  /** Fields that are not known of the species itself. */
  assumed: ('hatchDegreeDays' | 'swimDegreeDays' | 'larvalLengthMm')[];
}

/** Of a way of breeding alone little is known: half or twice the time. Assumption. */
const UNSURE_OF_A_WAY = 2;

/** A larva of a kind of which neither it nor its way shows a length. Assumption. */
const LARVA_MM = 4;

/** On a yolk of more than this many degree-days a larva grows by so much until it swims. Assumptions. */
const YOLK_DEGREE_DAYS = 20;
const GROWN_ON_YOLK = 1.2;

/** What is known of a species or its relatives, and in its place what is usual for its way of life. */
export function broodTraits(species: Bred, strategy: BreedingStrategy): BroodTraits {
  const { hatchDegreeDays, swimDegreeDays, hatching, tempOptC, defaulted } = species;
  const larvalLengthMm = defaulted.includes('larvalLengthMm') ? null : species.larvalLengthMm;
  const eggs = eggsOf(hatching, strategy, tempOptC);
  const assumed: BroodTraits['assumed'] = [];
  if (hatchDegreeDays === null) assumed.push('hatchDegreeDays');
  if (swimDegreeDays === null) assumed.push('swimDegreeDays');
  if (larvalLengthMm === null) assumed.push('larvalLengthMm');
  const hatchedMm = larvalLengthMm ?? strategy.larvalLengthMm ?? LARVA_MM;
  const onYolk = eggs !== null && eggs.swimDegreeDays - eggs.hatchDegreeDays > YOLK_DEGREE_DAYS;
  return {
    ...species,
    larvalLengthMm: onYolk ? hatchedMm * GROWN_ON_YOLK : hatchedMm,
    eggs,
    assumed,
  };
}

/** By the species or its relatives, else by its way; null where there is no hatching to wait for. */
function eggsOf(
  hatching: Bred['hatching'],
  strategy: BreedingStrategy,
  tempOptC: number,
): EggTraits | null {
  if (hatching) {
    const { hatchDays, swimDays, tempC, unsure } = hatching;
    return {
      hatchDegreeDays: hatchDays * tempC,
      swimDegreeDays: Math.max(hatchDays, swimDays) * tempC,
      tempOptC: tempC,
      unsure,
    };
  }
  const { hatchDegreeDays, swimDegreeDays } = strategy;
  if (hatchDegreeDays === null) return null;
  return {
    hatchDegreeDays,
    swimDegreeDays: Math.max(hatchDegreeDays, swimDegreeDays ?? 0),
    tempOptC,
    unsure: UNSURE_OF_A_WAY,
  };
}
