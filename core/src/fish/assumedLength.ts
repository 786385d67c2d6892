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

/** A fish may grow a little past its record; half over it is a mistake. An assumption. */
const PAST_RECORD = 1.5;

/** What is wrong with a length for a species, in words; null where it can be believed. */
export function impossibleLength(
  { common, adultLengthCm }: Pick<Species, 'common' | 'adultLengthCm'>,
  lengthCm: number,
): string | null {
  if (lengthCm <= adultLengthCm * PAST_RECORD) return null;
  return (
    `${common} grow to about ${adultLengthCm} cm; ${Math.round(lengthCm * 100) / 100} cm is more than half over that. ` +
    'Check the number and its unit, or give these fish a species of your own'
  );
}
