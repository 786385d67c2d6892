/** The stages of a group's life that change how it is fed. */
export const STAGES = [
  'yolk-sac larva',
  'fry',
  'juvenile',
  'adult',
  'conditioning',
  'spawning',
  'brooding',
  'resting',
  'quarantine',
  'old',
] as const;
export type Stage = (typeof STAGES)[number];

/** Stages that are not fed at all: on the yolk, at the spawning site, or with a mouth full of eggs. */
export function eatsNothing(stage: Stage): boolean {
  return stage === 'yolk-sac larva' || stage === 'spawning' || stage === 'brooding';
}

/** Very small fish, that must never be given a fasting day. */
export function mayNotFast(stage: Stage): boolean {
  return stage === 'fry';
}

/** Stages with a larva's short, fast gut. */
export function hasLarvalGut(stage: Stage): boolean {
  return stage === 'yolk-sac larva' || stage === 'fry';
}

/** Those that must grow, whatever it does to the water. */
export const grows = (stage: Stage): boolean =>
  stage === 'fry' || stage === 'juvenile' || stage === 'yolk-sac larva';
