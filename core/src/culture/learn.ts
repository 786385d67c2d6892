import { CYSTS_PER_G, HATCH_SHARE } from './hatch';
import type { VesselEvent } from './types';

/** So many jars of the usual share stand against the keeper's own. Assumption. */
const USUAL_JARS = 2;

/** A jar of which every harvest was counted. */
export interface CountedJar<Event = VesselEvent> {
  /** Share of its cysts that hatched. */
  share: number;
  /** Its last harvest. */
  last: Event;
}

/**
 * The share of cysts that hatches in the keeper's own jars, from those of which every harvest was
 * counted: the first few are weighed against the usual share. A jar that is lifted twice is one jar.
 * @param jars each jar's grams of cysts at its start, and what happened to it
 * @returns the share, 0.01 to 1, and how many jars told it
 */
export function hatchShareOf(
  jars: readonly { startG: number | null; events: readonly VesselEvent[] }[],
): { share: number; jars: number } {
  const counted = jars.flatMap((jar) => countedJars(jar));
  return { share: shareAfter(counted), jars: counted.length };
}

/** The share to expect after some jars were counted. */
export function shareAfter(counted: readonly Pick<CountedJar, 'share'>[]): number {
  const sum = counted.reduce((total, { share }) => total + Math.min(1, share), 0);
  const share = (sum + USUAL_JARS * HATCH_SHARE) / (counted.length + USUAL_JARS);
  return Math.min(1, Math.max(0.01, share));
}

/** Each time that a vessel was set up with cysts of known mass, where all of what hatched was counted. */
export function countedJars<Event extends VesselEvent>({
  startG,
  events,
}: {
  startG: number | null;
  events: readonly Event[];
}): CountedJar<Event>[] {
  const jars: { cystsG: number | null; lifts: { event: Event; count: number | null }[] }[] = [
    { cystsG: startG, lifts: [] },
  ];
  for (const event of events) {
    if (event.kind === 'restarted') jars.push({ cystsG: event.massG, lifts: [] });
    if (event.kind === 'harvested') jars.at(-1)!.lifts.push({ event, count: event.count });
  }
  return jars.flatMap(({ cystsG, lifts }) => {
    const last = lifts.at(-1)?.event;
    // What was lifted uncounted is missing from the share.
    if (!last || cystsG === null || cystsG <= 0 || lifts.some(({ count }) => count === null)) {
      return [];
    }
    const hatched = lifts.reduce((sum, { count }) => sum + (count ?? 0), 0);
    return [{ share: hatched / (cystsG * CYSTS_PER_G), last }];
  });
}
