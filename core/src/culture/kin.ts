/** What of a vessel shows what it has in common with others. */
export interface Kin {
  id: string;
  kindKey: string;
  /** The vessel that it was started from. */
  fromVesselId: string | null;
  /** Whence its water comes, and what touches it: «rain butt», «green net». Empty where unsaid. */
  water: string;
  tools: string;
  startedOn: string;
}

export type Tie = 'water' | 'tools' | 'parent' | 'child' | 'sibling';

/** Vessels and what they have in common with one of them. */
export interface Shared {
  id: string;
  ties: Tie[];
}

const same = (a: string, b: string): boolean =>
  a.trim() !== '' && a.trim().toLowerCase() === b.trim().toLowerCase();

/**
 * The vessels that what ruined one of them may have reached too: by water, by tools, or since one was
 * started from the other or both from a third. Most ties first.
 */
export function sharing(vessels: readonly Kin[], id: string): Shared[] {
  const one = vessels.find((vessel) => vessel.id === id);
  if (!one) return [];
  return vessels
    .filter((other) => other.id !== id)
    .map((other): Shared => {
      const ties: Tie[] = [];
      if (same(one.water, other.water)) ties.push('water');
      if (same(one.tools, other.tools)) ties.push('tools');
      if (one.fromVesselId === other.id) ties.push('parent');
      if (other.fromVesselId === one.id) ties.push('child');
      if (one.fromVesselId !== null && one.fromVesselId === other.fromVesselId) {
        ties.push('sibling');
      }
      return { id: other.id, ties };
    })
    .filter(({ ties }) => ties.length > 0)
    .sort((a, b) => b.ties.length - a.ties.length);
}

/** A vessel in its family, and how many generations below the first it stands. */
export interface InFamily {
  id: string;
  depth: number;
}

/**
 * The family of a vessel from its first ancestor down, each below the one that it was started from.
 * A vessel that claims to come from itself by a ring of others stands once.
 */
export function familyOf(vessels: readonly Kin[], id: string): InFamily[] {
  const byId = new Map(vessels.map((vessel) => [vessel.id, vessel]));
  const seen = new Set<string>();
  let first = byId.get(id);
  while (first && !seen.has(first.id)) {
    seen.add(first.id);
    const parent = first.fromVesselId === null ? undefined : byId.get(first.fromVesselId);
    if (!parent || seen.has(parent.id)) break;
    first = parent;
  }
  if (!first) return [];
  const listed = new Set<string>();
  const branch = (vessel: Kin, depth: number): InFamily[] => {
    if (listed.has(vessel.id)) return [];
    listed.add(vessel.id);
    const children = vessels
      .filter((other) => other.fromVesselId === vessel.id)
      .sort((a, b) => (a.startedOn < b.startedOn ? -1 : 1));
    return [{ id: vessel.id, depth }, ...children.flatMap((child) => branch(child, depth + 1))];
  };
  return branch(first, 0);
}
