import { CYSTS_PER_G, HATCH_SHARE } from './hatch';
import type { Happening } from './vessel';

/** So many jars of the usual share stand against the keeper's own. Assumption. */
const USUAL_JARS = 2;

/**
 * The share of cysts that hatches in the keeper's own jars, from those of which the harvest was
 * counted: the first few are weighed against the usual share.
 * @param jars each jar's grams of cysts at its start, and what happened to it
 * @returns the share, 0.01 to 1, and how many jars told it
 */
export function hatchShareOf(
  jars: readonly { startG: number | null; events: readonly Happening[] }[],
): { share: number; jars: number } {
  const shares = jars.flatMap(({ startG, events }) => {
    let cystsG = startG;
    const told: number[] = [];
    for (const event of events) {
      if (event.kind === 'restarted') cystsG = event.massG;
      if (event.kind === 'harvested' && event.count !== null && cystsG !== null && cystsG > 0) {
        told.push(event.count / (cystsG * CYSTS_PER_G));
      }
    }
    return told;
  });
  const sum = shares.reduce((total, share) => total + Math.min(1, share), 0);
  const share = (sum + USUAL_JARS * HATCH_SHARE) / (shares.length + USUAL_JARS);
  return { share: Math.min(1, Math.max(0.01, share)), jars: shares.length };
}
