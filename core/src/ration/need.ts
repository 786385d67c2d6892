import { STRATEGIES } from '../brood/strategies';
import type { Species } from '@open-larder/catalogue';
import { eatsNothing, massFromLength, type GrownFrom, type Stage } from '../fish';
import { BELLY_WORDS, bellyFactor, type Belly } from './belly';
import { assertRange } from '../units';
import { assumed, computed, measured, worded, type Known } from '../why';

const NEED_SOURCE =
  'NRC 2011, Nutrient Requirements of Fish and Shrimp; scaling with mass^0.8 after Lupatsch et al.';
const Q10_SOURCE =
  'Assumption: Q10 of 2.0 inside the range of the species, flat above its appetite peak';

/** Maintenance at 25 °C, kJ digestible energy · kg^-0.8 · d^-1. Source: NRC 2011. */
const MAINTENANCE_KJ = 50;
/** Assumption: metabolism doubles per 10 °C inside the range of the species. */
export const Q10 = 2;

/** Scatterers of these families spawn about every week wherever they are well fed. Practice. */
const SPAWNS_WEEKLY: ReadonlySet<string> = new Set(['Danionidae', 'Xenocyprididae', 'Cyprinidae']);
const WEEKLY = 1.5;

/** What the feeding is for, as a multiple of maintenance. Starting values, the keeper overrides. */
const STAGE_FACTOR: Record<Stage, number> = {
  'yolk-sac larva': 0,
  fry: 5,
  juvenile: 2.5,
  adult: 1,
  conditioning: 1.8,
  spawning: 0,
  brooding: 0,
  resting: 0.8,
  quarantine: 1,
  old: 0.9,
};

export type SpeciesTraits = Pick<
  Species,
  | 'common'
  | 'guild'
  | 'stomach'
  | 'shape'
  | 'lengthMass'
  | 'sourceSize'
  | 'sourceWater'
  | 'tempMinC'
  | 'tempMaxC'
  | 'appetitePeakC'
  | 'adultLengthCm'
> &
  Partial<Pick<Species, 'breeding' | 'family'>>;

/** What is known of a group on one day. */
export interface GroupOnDay {
  species: SpeciesTraits;
  stage: Stage;
  count: number;
  /** Mean total length in cm. */
  lengthCm: number;
  /** True where the keeper measured the length; false where it was guessed from the species. */
  lengthMeasured: boolean;
  /** Where it grew since it was measured: what `lengthCm` was worked out from. */
  grown?: GrownFrom | null;
  /** Water temperature in °C. */
  tempC: number;
  /** The keeper's own multiple of maintenance, in place of the stage's. */
  goalFactor?: number | null;
  /** Raises a feeding day for the fasting days of its week; 1 without them. */
  fastFactor?: number;
  /** How its bellies looked last; null if not observed lately. */
  belly?: Belly | null;
}

/** Length as an input of a derivation, with its basis. */
export function lengthOf(group: GroupOnDay): Known {
  const { grown } = group;
  if (grown) {
    return computed(group.lengthCm, {
      label: 'Mean total length',
      unit: 'cm',
      how: 'usual growth of the species, well fed, since it was measured',
      source: 'von Bertalanffy with the K and final length of its kind',
      from: [
        measured('Measured length', grown.measuredCm, 'cm', 'entered by the keeper'),
        measured('Days of growth since', grown.days, 'd'),
      ],
    });
  }
  return group.lengthMeasured
    ? measured('Mean total length', group.lengthCm, 'cm', 'entered by the keeper')
    : assumed('Mean total length', group.lengthCm, 'cm', group.species.sourceSize);
}

/**
 * How much faster life runs than at 25 °C.
 * Flat above the appetite peak of the species: heat stress does not raise appetite.
 * @throws RangeError outside 0 to 40 °C
 */
export function warmthFactor(species: SpeciesTraits, tempC: number): Known {
  assertRange('water temperature in °C', tempC, 0, 40);
  return computed(warmthOf(species, tempC), {
    label: 'Warmth factor',
    unit: '× at 25 °C',
    how: '2 ^ ((temperature − 25) ÷ 10), temperature no higher than its appetite peak',
    source: Q10_SOURCE,
    from: [
      measured('Water temperature', tempC, '°C', 'the tank'),
      assumed(
        `Appetite peak of ${species.common}`,
        species.appetitePeakC,
        '°C',
        species.sourceWater,
      ),
    ],
  });
}

/**
 * Digestible energy that the whole group needs in a day on which it is fed.
 * @returns kJ per day; 0 for stages that eat nothing
 * @throws RangeError for a length or temperature outside the possible
 * Source: NRC 2011.
 */
export function dailyNeed(group: GroupOnDay): Known {
  assertRange('number of fish', group.count, 0, 1_000_000);
  const { massG } = massFromLength(group.species, lengthOf(group));
  const warmth = warmthFactor(group.species, group.tempC);
  const goal = goalFactor(group);
  const belly = bellyFactor(group.belly);
  const fasts = group.fastFactor ?? 1;
  const perFish =
    MAINTENANCE_KJ * (massG.value / 1000) ** 0.8 * warmth.value * goal.value * belly * fasts;
  return computed(perFish * group.count, {
    label: 'Energy the group needs on a feeding day',
    unit: 'kJ/d',
    how: `50 × (mass in kg)^0.8 × warmth factor × goal × ${belly === 1 ? '' : 'bellies × '}${fasts === 1 ? '' : 'fasting days × '}number of fish`,
    source: NEED_SOURCE,
    from: [
      massG,
      assumed('Maintenance at 25 °C', MAINTENANCE_KJ, 'kJ·kg^-0.8·d^-1', NEED_SOURCE),
      warmth,
      goal,
      ...(belly === 1 ? [] : [bellyKnown(group.belly!, belly)]),
      ...(fasts === 1 ? [] : [fastsKnown(fasts)]),
      measured('Number of fish', group.count, '', 'the events of the group'),
    ],
  });
}

/**
 * How far the mass of one fish may be off, by its relatives and by how it grew since it was measured:
 * a factor either way that two of three stay within.
 */
export const massSpread = ({
  species: { lengthMass },
  grown,
}: Pick<GroupOnDay, 'species' | 'grown'>): number =>
  Math.exp(Math.hypot(Math.LN10 * lengthMass.spreadLog10, lengthMass.b * (grown?.sd ?? 0)));

/** The same of a need: it grows with mass^0.8, and so does a portion. */
export const needSpread = (group: Parameters<typeof massSpread>[0]): number =>
  massSpread(group) ** 0.8;

/** Heat over the optimum does not raise what a body uses. */
const warmthOf = ({ appetitePeakC }: SpeciesTraits, tempC: number) =>
  Q10 ** ((Math.min(tempC, appetitePeakC) - 25) / 10);

/** What one fish of a mass in grams needs to stay as it is, kJ digestible energy a day. Source: NRC 2011. */
export function maintenanceKj(species: SpeciesTraits, massG: number, tempC: number): number {
  return MAINTENANCE_KJ * (massG / 1000) ** 0.8 * warmthOf(species, tempC);
}

/** The starting multiple of maintenance for a stage, and for the way its adults breed. */
export function stageFactor(
  stage: Stage,
  { breeding, family }: Partial<Pick<Species, 'breeding' | 'family'>> = {},
): number {
  if (stage !== 'adult' || breeding === undefined) return STAGE_FACTOR[stage];
  if (breeding === 'egg scatterer' && SPAWNS_WEEKLY.has(family ?? '')) return WEEKLY;
  return STRATEGIES[breeding].layingFactor * STAGE_FACTOR.adult;
}

/** Below this temperature cold-water fish hardly digest: they are not fed. Practice, from the peak. */
const COLD_BELOW_PEAK_C = 17;
export const feedingStopsC = ({
  tempMinC,
  appetitePeakC,
}: Pick<Species, 'tempMinC' | 'appetitePeakC'>): number =>
  Math.max(tempMinC, appetitePeakC - COLD_BELOW_PEAK_C);

const fastsKnown = (factor: number): Known =>
  computed(factor, {
    label: 'Fasting days made up for',
    unit: '×',
    how: 'seven days ÷ the days of a week on which it is fed, no more than its gut holds',
    source: 'Practice',
    from: [],
  });

const bellyKnown = (belly: Belly, factor: number): Known =>
  computed(factor, {
    label: 'Bellies',
    unit: '×',
    how: 'raised while they look too thin',
    source: 'An assumption, within what a correction may be',
    from: [worded('Bellies', BELLY_WORDS[belly], 'measured', 'seen by the keeper')],
  });

function goalFactor(group: GroupOnDay): Known {
  const own = group.goalFactor ?? null;
  if (own !== null && !eatsNothing(group.stage)) {
    assertRange('goal as a multiple of maintenance', own, 0, 10);
    return computed(own, {
      label: 'Goal',
      unit: '× maintenance',
      how: 'set by the keeper in place of the starting value of the stage',
      from: [worded('Stage', group.stage, 'measured', 'entered by the keeper')],
    });
  }
  return computed(stageFactor(group.stage, group.species), {
    label: 'Goal',
    unit: '× maintenance',
    how: 'starting value of the stage, for adults of the way they breed',
    source: 'NRC 2011 ranges for rest, maintenance and growth, rounded; an assumption',
    from: [worded('Stage', group.stage, 'measured', 'entered by the keeper')],
  });
}
