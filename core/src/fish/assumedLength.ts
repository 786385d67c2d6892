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

/** Whether a length is asked about, or taken for a slip of its unit; null where it is an ordinary one. */
export function lengthDoubt(
  { adultLengthCm }: Pick<Species, 'adultLengthCm'>,
  lengthCm: number,
): 'long' | 'slip' | null {
  if (lengthCm > adultLengthCm * SLIP_OVER) return 'slip';
  return lengthCm > adultLengthCm * ASKED_OVER ? 'long' : null;
}
