import type { Species } from '@open-larder/catalogue';
import { eatsNothing, massFromLength, type Stage } from '../fish';
import { BELLY_WORDS, bellyFactor, type Belly } from './belly';
import { assertRange } from '../units';
import { assumed, computed, measured, worded, type Known } from '../why';

const NEED_SOURCE =
  'NRC 2011, Nutrient Requirements of Fish and Shrimp; scaling with mass^0.8 after Lupatsch et al.';
const Q10_SOURCE = 'Assumption: Q10 of 2.0 inside the range of the species, flat above its optimum';

/** Maintenance at 25 °C, kJ digestible energy · kg^-0.8 · d^-1. Source: NRC 2011. */
const MAINTENANCE_KJ = 50;
/** Assumption: metabolism doubles per 10 °C inside the range of the species. */
export const Q10 = 2;

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
  | 'lwA'
  | 'lwB'
  | 'sourceSize'
  | 'sourceWater'
  | 'tempMinC'
  | 'tempOptC'
  | 'tempMaxC'
  | 'adultLengthCm'
>;

/** What is known of a group on one day. */
export interface GroupOnDay {
  species: SpeciesTraits;
  stage: Stage;
  count: number;
  /** Mean total length in cm. */
  lengthCm: number;
  /** True where the keeper measured the length; false where it was guessed from the species. */
  lengthMeasured: boolean;
  /** Water temperature in °C. */
  tempC: number;
  /** The keeper's own multiple of maintenance, in place of the stage's. */
  goalFactor?: number | null;
  /** How its bellies looked last; null where nobody looked lately. */
  belly?: Belly | null;
}

/** Length as an input of a derivation, with its basis. */
export function lengthOf(group: GroupOnDay): Known {
  return group.lengthMeasured
    ? measured('Mean total length', group.lengthCm, 'cm', 'entered by the keeper')
    : assumed('Mean total length', group.lengthCm, 'cm', group.species.sourceSize);
}

/**
 * How much faster life runs than at 25 °C.
 * Flat above the optimum of the species: heat stress does not raise appetite.
 * @throws RangeError outside 0 to 40 °C
 */
export function warmthFactor(species: SpeciesTraits, tempC: number): Known {
  assertRange('water temperature in °C', tempC, 0, 40);
  return computed(warmthOf(species, tempC), {
    label: 'Warmth factor',
    unit: '× at 25 °C',
    how: '2 ^ ((temperature − 25) ÷ 10), temperature no higher than the optimum of the species',
    source: Q10_SOURCE,
    from: [
      measured('Water temperature', tempC, '°C', 'the tank'),
      assumed(`Optimum of ${species.common}`, species.tempOptC, '°C', species.sourceWater),
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
  const perFish = MAINTENANCE_KJ * (massG.value / 1000) ** 0.8 * warmth.value * goal.value * belly;
  return computed(perFish * group.count, {
    label: 'Energy the group needs on a feeding day',
    unit: 'kJ/d',
    how: `50 × (mass in kg)^0.8 × warmth factor × goal × ${belly === 1 ? '' : 'bellies × '}number of fish`,
    source: NEED_SOURCE,
    from: [
      massG,
      assumed('Maintenance at 25 °C', MAINTENANCE_KJ, 'kJ·kg^-0.8·d^-1', NEED_SOURCE),
      warmth,
      goal,
      ...(belly === 1 ? [] : [bellyKnown(group.belly!, belly)]),
      measured('Number of fish', group.count, '', 'the events of the group'),
    ],
  });
}

/** Heat over the optimum does not raise what a body uses. */
const warmthOf = ({ tempOptC }: SpeciesTraits, tempC: number) =>
  Q10 ** ((Math.min(tempC, tempOptC) - 25) / 10);

/** What one fish of a mass in grams needs to stay as it is, kJ digestible energy a day. Source: NRC 2011. */
export function maintenanceKj(species: SpeciesTraits, massG: number, tempC: number): number {
  return MAINTENANCE_KJ * (massG / 1000) ** 0.8 * warmthOf(species, tempC);
}

/** The stage's starting multiple of maintenance. */
export function stageFactor(stage: Stage): number {
  return STAGE_FACTOR[stage];
}

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
  return computed(STAGE_FACTOR[group.stage], {
    label: 'Goal',
    unit: '× maintenance',
    how: 'starting value of the stage',
    source: 'NRC 2011 ranges for rest, maintenance and growth, rounded; an assumption',
    from: [worded('Stage', group.stage, 'measured', 'entered by the keeper')],
  });
}
