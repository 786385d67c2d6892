import type { Chance } from '../chance';
import type { FeedGroup, Feeding, Learned, LearnedSure } from './feeding';

/**
 * How far a group's traits are off from what its species and size let expect, before anything was seen:
 * standard deviations of the logarithms. Assumptions, as wide as groups of one species differ. Learning
 * starts from them, and the bands of a simulation are drawn from what learning has left of them.
 */
export const TRAIT_SD: Record<keyof Learned, number> = { search: 0.45, taking: 0.3, coming: 0.4 };

/** Assumed lengths are off by this much more, of the logarithm. Assumption. */
const LENGTH_SD = 0.1;
/** Mass follows length to about this power. */
const CUBE = 3;

/** What is left of the doubt about a trait once something was seen. */
export const traitSd = (trait: keyof Learned, sure?: LearnedSure): number =>
  TRAIT_SD[trait] * (1 - (sure?.[trait] ?? 0));

/** The same feeding with groups as much bolder, shyer or slower as they may be, drawn by chance. */
export const drawn = (feeding: Feeding, { normal }: Chance): Feeding => ({
  ...feeding,
  groups: feeding.groups.map((group) => {
    const { sure, ...known } = group.learned ?? { search: 1, taking: 1, coming: 1 };
    const times = (trait: keyof Learned) =>
      known[trait] * Math.exp(normal() * traitSd(trait, sure));
    return {
      ...group,
      learned: {
        search: times('search'),
        taking: times('taking'),
        coming: times('coming'),
        ...(sure ? { sure } : {}),
      },
    };
  }),
});

/** How far the mass of one fish is off, of the logarithm: its relatives' spread, and that of a length that was not measured today. */
export function massSd({ species, lengthMeasured, grown }: FeedGroup): number {
  const pair = Math.LN10 * species.lengthMass.spreadLog10;
  return Math.hypot(pair, CUBE * (grown?.sd ?? (lengthMeasured ? 0 : LENGTH_SD)));
}
