import { formatQuantity, METRIC, type UnitChoice } from '../units';
import type { Species } from '@open-larder/catalogue';
import type { Stage } from './stage';

/** Usual length of a stage as a share of the species' adult length. Assumptions, to be measured. */
const SHARE: Record<Stage, number> = {
  'yolk-sac larva': 0.1,
  fry: 0.18,
  juvenile: 0.5,
  adult: 0.85,
  conditioning: 0.85,
  spawning: 0.85,
  brooding: 0.85,
  resting: 0.85,
  quarantine: 0.7,
  old: 0.95,
};

/** A first guess of mean total length in cm for a group that nobody has measured yet. */
export function assumedLengthCm(species: Pick<Species, 'adultLengthCm'>, stage: Stage): number {
  return Math.round(species.adultLengthCm * SHARE[stage] * 100) / 100;
}

/** Beyond this many times its usual adult length a keeper is asked whether it is right. Assumption. */
const ASKED_OVER = 1.5;
/** Beyond this it is a slip of the unit. Assumption. */
const SLIP_OVER = 4;

type Named = Pick<Species, 'common' | 'adultLengthCm'>;

/** What to ask of a length that is long for the species; null where nothing needs asking. */
export function unlikelyLength(
  { common, adultLengthCm }: Named,
  lengthCm: number,
  units: UnitChoice = METRIC,
): string | null {
  if (lengthCm <= adultLengthCm * ASKED_OVER) return null;
  return `${common} grow to about ${formatQuantity(units, 'length', adultLengthCm)}. Is ${formatQuantity(units, 'length', lengthCm)} right, and in the right unit?`;
}

/** What is wrong with a length in a table, where no keeper can be asked; null where it can be believed. */
export function impossibleLength(
  { common, adultLengthCm }: Named,
  lengthCm: number,
  units: UnitChoice = METRIC,
): string | null {
  if (lengthCm <= adultLengthCm * SLIP_OVER) return null;
  return `${common} grow to about ${formatQuantity(units, 'length', adultLengthCm)}; ${formatQuantity(units, 'length', lengthCm)} looks like another unit. Check the number and its unit`;
}
