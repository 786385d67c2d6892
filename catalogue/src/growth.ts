import type { SpeciesEntry } from './species';

/** How near the fish are from which a pace of growth is known: the nearer, the narrower its band. */
export const GROWTH_LEVELS = ['own', 'genus', 'family', 'size'] as const;
export type GrowthLevel = (typeof GROWTH_LEVELS)[number];

/** A usual length at an age, of a species, genus or family: well fed, in warmth that suits it. */
export interface GrowthRow {
  taxon: string;
  level: Exclude<GrowthLevel, 'size'>;
  /** Adult length of the fish that it is known of, cm. */
  adultCm: number;
  /** Length when it swims free or is born, cm. */
  startCm: number;
  lengthCm: number;
  /** Days since it swam free or was born. */
  ageDays: number;
  source: string;
}

/** Von Bertalanffy growth of a species at its best temperature. */
export interface Growth {
  taxon: string;
  level: GrowthLevel;
  linfCm: number;
  kPerYear: number;
  /** In nine healthy groups of ten K lies within K divided and multiplied by this. */
  spread: number;
  source: string;
}

/** Where no L∞ is known it is a little over the usual length of an adult. Assumption. */
const LINF_OF_ADULT = 1.05;
/**
 * K falls with adult length: small species grow up in months, large ones in years. 6 at 1 cm is the
 * middle of the catalogue’s own rows, which lie within ÷ and × 2.1 of it in nine of ten. Assumption.
 */
const K_AT_1_CM = 6;
const K_EXPONENT = -0.7;
/** By how near the relatives are. «own» includes what food and water do. Assumptions but for «size». */
const SPREAD: Record<GrowthLevel, number> = { own: 1.35, genus: 1.5, family: 1.8, size: 2.1 };
const DAYS_A_YEAR = 365.25;

type Described = Pick<
  SpeciesEntry,
  'scientific' | 'family' | 'adultLengthCm' | 'growthLinfCm' | 'growthK' | 'sourceSize'
>;

/** Growth of a species: its own figures, else its nearest relatives', else by its adult length. */
export function growthFor(species: Described, rows: readonly GrowthRow[]): Growth {
  const { scientific, family, adultLengthCm, growthLinfCm, growthK, sourceSize } = species;
  if (growthLinfCm !== null && growthK !== null) {
    return {
      taxon: scientific,
      level: 'own',
      linfCm: growthLinfCm,
      kPerYear: growthK,
      spread: SPREAD.own,
      source: sourceSize,
    };
  }
  for (const taxon of [scientific, scientific.split(' ')[0] ?? '', family]) {
    const row = rows.find((one) => one.taxon === taxon);
    if (!row) continue;
    return {
      taxon,
      level: row.level,
      linfCm: adultLengthCm * LINF_OF_ADULT,
      kPerYear: kOf(row) * (adultLengthCm / row.adultCm) ** K_EXPONENT,
      spread: SPREAD[row.level],
      source: row.source,
    };
  }
  return growthBySize(adultLengthCm);
}

/** Growth of a species of which only the adult length is known, cm. */
export const growthBySize = (adultLengthCm: number): Growth => ({
  taxon: 'adult length',
  level: 'size',
  linfCm: adultLengthCm * LINF_OF_ADULT,
  kPerYear: K_AT_1_CM * adultLengthCm ** K_EXPONENT,
  spread: SPREAD.size,
  source: 'Assumption: small species grow up in months, large ones in years',
});

/** The K with which the curve passes through the row's length at its age. */
function kOf({ adultCm, startCm, lengthCm, ageDays }: GrowthRow): number {
  const linfCm = adultCm * LINF_OF_ADULT;
  return (-DAYS_A_YEAR / ageDays) * Math.log((linfCm - lengthCm) / (linfCm - startCm));
}

/** The rows behind what species were given: for a species of the keeper's own among them. */
export function growthRowsOf(
  species: readonly { adultLengthCm: number; growth: Growth }[],
): GrowthRow[] {
  const rows = species.flatMap(({ adultLengthCm, growth }): GrowthRow[] => {
    const { taxon, level, kPerYear, source } = growth;
    if (level === 'size') return [];
    const linfCm = adultLengthCm * LINF_OF_ADULT;
    // Any point of the curve gives the same K again: a year’s growth from nothing.
    const lengthCm = linfCm * (1 - Math.exp(-kPerYear));
    return [
      {
        taxon,
        level,
        adultCm: adultLengthCm,
        startCm: 0,
        lengthCm,
        ageDays: DAYS_A_YEAR,
        source,
      },
    ];
  });
  return [...new Map(rows.map((row) => [row.taxon, row])).values()];
}
