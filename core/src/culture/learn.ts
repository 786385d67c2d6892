import { CYSTS_PER_G, HATCH_SHARE } from './hatch';
import type { Happening } from './vessel';

/** So many jars of the usual share stand against the keeper's own. Assumption. */
const USUAL_JARS = 2;

/**
 * The share of cysts that hatches in the keeper's own jars, from those of which every harvest was
 * counted: the first few are weighed against the usual share. A jar that is lifted twice is one jar.
 * @param jars each jar's grams of cysts at its start, and what happened to it
 * @returns the share, 0.01 to 1, and how many jars told it
 */
export function hatchShareOf(
  jars: readonly { startG: number | null; events: readonly Happening[] }[],
): { share: number; jars: number } {
  const shares = jars.flatMap(({ startG, events }) =>
    settingsOf(startG, events).flatMap(({ cystsG, counts }) => {
      if (cystsG === null || cystsG <= 0 || counts.length === 0) return [];
      // What was lifted uncounted is missing from the share.
      if (counts.includes(null)) return [];
      const hatched = counts.reduce<number>((sum, count) => sum + (count ?? 0), 0);
      return [hatched / (cystsG * CYSTS_PER_G)];
    }),
  );
  const sum = shares.reduce((total, share) => total + Math.min(1, share), 0);
  const share = (sum + USUAL_JARS * HATCH_SHARE) / (shares.length + USUAL_JARS);
  return { share: Math.min(1, Math.max(0.01, share)), jars: shares.length };
}

/** Each time that a jar was set up: the cysts in it, and what was counted at each lift. */
function settingsOf(startG: number | null, events: readonly Happening[]) {
  const settings = [{ cystsG: startG, counts: [] as (number | null)[] }];
  for (const event of events) {
    if (event.kind === 'restarted') settings.push({ cystsG: event.massG, counts: [] });
    if (event.kind === 'harvested') settings.at(-1)!.counts.push(event.count);
  }
  return settings;
}
