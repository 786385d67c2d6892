import type { SpeciesEntry } from './species';
import type { Breeding } from './vocabulary';

/** How near the fish are from which days are known: the nearer, the narrower their window. */
export const HATCH_LEVELS = ['own', 'genus', 'family'] as const;
type HatchLevel = (typeof HATCH_LEVELS)[number];

/** Usual days from laying to hatching and to swimming free, of a species, genus or family. */
export interface HatchingRow {
  taxon: string;
  level: HatchLevel;
  /** The way of breeding that it is for; null where it serves every way. */
  breeding: Breeding | null;
  hatchMinDays: number;
  hatchMaxDays: number;
  swimMinDays: number;
  swimMaxDays: number;
  tempC: number;
  source: string;
}

/** What the eggs of a species are timed by. */
export interface Hatching {
  taxon: string;
  level: HatchLevel;
  /** Usual days from laying, at a temperature. */
  hatchDays: number;
  swimDays: number;
  tempC: number;
  /** Nine of ten lie within the time divided and multiplied by this. */
  unsure: number;
  source: string;
}

/** Least window by how near the relatives are, and how much wider than theirs it is. Assumptions. */
const MIN: Record<HatchLevel, number> = { own: 1.2, genus: 1.3, family: 1.5 };
const WIDER: Record<HatchLevel, number> = { own: 1, genus: 1.1, family: 1.3 };

/** Ways of breeding in which no hatching is waited for. */
const NO_EGGS: ReadonlySet<string> = new Set(['live-bearer', 'annual', 'mussel spawner']);

type Described = Pick<
  SpeciesEntry,
  | 'scientific'
  | 'family'
  | 'breeding'
  | 'hatchDegreeDays'
  | 'swimDegreeDays'
  | 'hatchTempC'
  | 'hatchSpread'
  | 'sourceBreeding'
> & { tempOptC: number };

/**
 * Hatching and free swimming of a species: by its own figures, else by those of its nearest relatives.
 * Where only hatching is known of it, it swims after as many times that as its relatives do.
 * @param rows of the catalogue; of one taxon, the one for the way of breeding comes before a general one
 * @returns null where nothing is known of its family either
 */
export function hatchingFor(species: Described, rows: readonly HatchingRow[]): Hatching | null {
  const { scientific, family, breeding, tempOptC, hatchDegreeDays, swimDegreeDays } = species;
  if (NO_EGGS.has(breeding)) return null;
  const row = nearest([scientific, scientific.split(' ')[0] ?? '', family], breeding, rows);
  const related = row && {
    hatchDays: Math.sqrt(row.hatchMinDays * row.hatchMaxDays),
    swimDays: Math.sqrt(row.swimMinDays * row.swimMaxDays),
    tempC: row.tempC,
  };
  if (hatchDegreeDays !== null) {
    const tempC = species.hatchTempC ?? tempOptC;
    const hatchDays = hatchDegreeDays / tempC;
    const after = related ? Math.max(1, related.swimDays / related.hatchDays) : 1;
    return {
      taxon: scientific,
      level: 'own',
      hatchDays,
      swimDays: swimDegreeDays === null ? hatchDays * after : swimDegreeDays / tempC,
      tempC,
      unsure: Math.max(MIN.own, species.hatchSpread ?? 1),
      source: species.sourceBreeding,
    };
  }
  if (!row || !related) return null;
  const spread = Math.sqrt(row.hatchMaxDays / row.hatchMinDays);
  return {
    ...related,
    taxon: row.taxon,
    level: row.level,
    unsure: Math.max(MIN[row.level], WIDER[row.level] * spread),
    source: row.source,
  };
}

function nearest(
  taxa: readonly string[],
  breeding: Breeding,
  rows: readonly HatchingRow[],
): HatchingRow | null {
  for (const taxon of taxa) {
    const related = rows.filter((row) => row.taxon === taxon);
    const fitting =
      related.find((row) => row.breeding === breeding) ??
      related.find((row) => row.breeding === null);
    if (fitting) return fitting;
  }
  return null;
}

/** The rows behind what species were given: for a species of the keeper’s own among them. */
export function hatchingsOf(
  species: readonly { breeding: Breeding; hatching: Hatching | null }[],
): HatchingRow[] {
  const rows = species.flatMap(({ breeding, hatching }): HatchingRow[] => {
    if (hatching === null) return [];
    const { taxon, level, hatchDays, swimDays, tempC, unsure, source } = hatching;
    const spread = unsure / WIDER[level];
    return [
      {
        taxon,
        level,
        breeding: level === 'family' ? breeding : null,
        hatchMinDays: hatchDays / spread,
        hatchMaxDays: hatchDays * spread,
        swimMinDays: swimDays / spread,
        swimMaxDays: swimDays * spread,
        tempC,
        source,
      },
    ];
  });
  return [...new Map(rows.map((row) => [`${row.taxon} ${row.breeding ?? ''}`, row])).values()];
}
