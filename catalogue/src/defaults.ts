import { growthFor, growthRowsOf, type Growth, type GrowthRow } from './growth';
import { hatchingFor, hatchingsOf, type Hatching, type HatchingRow } from './hatching';
import { lengthMassFor, pairsOf, type LengthMass } from './lengthMass';
import type { ByLight, Presence, SpeciesEntry, SpeciesField } from './species';
import type { Activity, Guild, Shape, Zone } from './vocabulary';

/** Fields that stay unknown where the catalogue has no figure: no default would be honest. */
type Unknowable =
  | 'lwA'
  | 'lwB'
  | 'hatchDegreeDays'
  | 'swimDegreeDays'
  | 'hatchTempC'
  | 'hatchSpread'
  | 'growthLinfCm'
  | 'growthK';

/** A species as everything computes with it: its entry, with stated defaults where it was blank. */
export type Species = { key: string } & {
  [F in keyof SpeciesEntry]: F extends Unknowable
    ? SpeciesEntry[F]
    : Exclude<SpeciesEntry[F], null>;
} & {
  /** Mass from length: its own pair, or that of the nearest relatives. */
  lengthMass: LengthMass;
  /** How it grows: its own figures, those of its relatives, or by its size. */
  growth: Growth;
  /** When its eggs hatch and its larvae swim: its own figures, or those of its relatives. */
  hatching: Hatching | null;
  /** Fields whose value is a default of this file, not a figure of the row. */
  defaulted: SpeciesField[];
};

interface Default<F extends SpeciesField> {
  /** What stands in, in words for «why?». */
  says: string;
  of: (entry: SpeciesEntry) => NonNullable<SpeciesEntry[F]>;
}

/** Plant share of the diet by guild. Starting values, an assumption. */
const PLANT: Record<Guild, [number, number]> = {
  'plant grazer': [0.6, 0.95],
  'film scraper': [0.5, 0.85],
  'detritus feeder': [0.4, 0.8],
  'filter feeder': [0.4, 0.8],
  omnivore: [0.2, 0.5],
  'invertebrate picker': [0.05, 0.3],
  predator: [0, 0.1],
};

/**
 * Crude protein in the dry matter of the diet by guild. Rounded from the spread of published
 * requirements of herbivorous to carnivorous fishes (NRC 2011, 30 to 55 %); an assumption by guild.
 */
const PROTEIN: Record<Guild, [number, number]> = {
  'plant grazer': [0.25, 0.38],
  'film scraper': [0.28, 0.4],
  'detritus feeder': [0.25, 0.4],
  'filter feeder': [0.3, 0.45],
  omnivore: [0.33, 0.45],
  'invertebrate picker': [0.4, 0.52],
  predator: [0.45, 0.58],
};

/** How readily a guild takes what does not move and did not live. Assumptions. */
const TAKES_DRY: Record<Guild, number> = {
  'plant grazer': 1,
  'film scraper': 0.9,
  'detritus feeder': 1,
  'filter feeder': 0.7,
  omnivore: 1,
  'invertebrate picker': 0.85,
  predator: 0.5,
};

/** Width of the mouth by body, without a measurement. Assumptions. */
const GAPE: Record<Shape, number> = {
  'eel-like': 0.03,
  elongated: 0.05,
  fusiform: 0.06,
  deep: 0.07,
  flat: 0.06,
  shrimp: 0.02,
  snail: 0.02,
};

const ACTIVE: Record<Activity, ByLight> = {
  day: { day: 1, dusk: 0.6, night: 0.1 },
  dusk: { day: 0.4, dusk: 1, night: 0.5 },
  night: { day: 0.1, dusk: 0.6, night: 1 },
};

/** Three quarters of the feeding time in its own zone, the rest beside it. An assumption. */
const BESIDE: Record<Zone, Presence> = {
  surface: { surface: 0.75, mid: 0.2, bottom: 0.05, film: 0 },
  mid: { surface: 0.15, mid: 0.7, bottom: 0.1, film: 0.05 },
  bottom: { surface: 0, mid: 0.1, bottom: 0.75, film: 0.15 },
  film: { surface: 0, mid: 0.05, bottom: 0.2, film: 0.75 },
};

/** Share of its time that a fish is out of shelter while it is not its hour. An assumption. */
const OUT_OF_HOURS = 0.3;

function presenceIn({ zone, activity }: SpeciesEntry, light: 'day' | 'night'): Presence {
  const out = activity === 'dusk' || activity === light ? 1 : OUT_OF_HOURS;
  const zones = BESIDE[zone];
  return {
    surface: zones.surface * out,
    mid: zones.mid * out,
    bottom: zones.bottom * out,
    film: zones.film * out,
  };
}

/** Length at which a young one begins to eat, in mm, by way of breeding. Assumptions. */
const LARVAL_MM: Partial<Record<SpeciesEntry['breeding'], number>> = {
  'live-bearer': 7,
  'mouth-brooder': 8,
  'cave spawner': 5,
  'egg carrier': 2.2,
  'clutch layer': 1,
  'bubble-nester': 3,
};

const lifeOf = ({ shape, adultLengthCm }: SpeciesEntry): number => {
  if (shape === 'shrimp') return 1.5;
  if (shape === 'snail') return 2;
  if (adultLengthCm < 4) return 3;
  return adultLengthCm < 10 ? 5 : adultLengthCm < 20 ? 8 : 12;
};

/** What stands in for a blank, field by field. Every one is an assumption, and says so. */
export const SPECIES_DEFAULTS = {
  appetitePeakC: {
    says: '2 °C under the highest temperature',
    of: (row) => Math.max(row.tempOptC, row.tempMaxC - 2),
  },
  nitrate: { says: 'moderate, where nothing else is known', of: () => 'moderate' },
  gapeShare: { says: 'usual width of the mouth for the body shape', of: (row) => GAPE[row.shape] },
  plantShareMin: { says: 'usual band of the guild', of: (row) => PLANT[row.guild][0] },
  plantShareMax: { says: 'usual band of the guild', of: (row) => PLANT[row.guild][1] },
  proteinMin: { says: 'usual band of the guild', of: (row) => PROTEIN[row.guild][0] },
  proteinMax: { says: 'usual band of the guild', of: (row) => PROTEIN[row.guild][1] },
  takesDry: { says: 'usual for its guild', of: (row) => TAKES_DRY[row.guild] },
  presenceDay: {
    says: 'three quarters in its main zone; mostly in shelter outside its hours',
    of: (row) => presenceIn(row, 'day'),
  },
  presenceNight: {
    says: 'three quarters in its main zone; mostly in shelter outside its hours',
    of: (row) => presenceIn(row, 'night'),
  },
  activityByLight: { says: 'usual for its hours', of: (row) => ACTIVE[row.activity] },
  femalesPerMale: { says: 'one to one, where nothing else is known', of: () => 1 },
  nipsFins: { says: 'not known as a fin-nipper', of: () => false },
  larvalLengthMm: {
    says: 'usual for its way of breeding',
    of: (row) => LARVAL_MM[row.breeding] ?? 4,
  },
  lifeYears: { says: 'usual for its size', of: lifeOf },
} satisfies { [F in SpeciesField]?: Default<F> };

type Defaulted = keyof typeof SPECIES_DEFAULTS;

/** Prefix of the keys of a keeper's own species; behind it stands their id. */
export const OWN = 'own-';

/** Figures of genera and families, for species without their own. */
export interface Relatives {
  pairs: readonly LengthMass[];
  hatchings: readonly HatchingRow[];
  growths: readonly GrowthRow[];
}

/**
 * Put the stated defaults where an entry is blank, and remember where.
 * @param relatives figures of genera and families, for a species without its own
 */
export function resolveSpecies(
  key: string,
  entry: SpeciesEntry,
  { pairs = [], hatchings = [], growths = [] }: Partial<Relatives> = {},
): Species {
  const blank = (Object.keys(SPECIES_DEFAULTS) as Defaulted[]).filter(
    (field) => entry[field] == null,
  );
  const filled = Object.fromEntries(
    blank.map((field) => [field, SPECIES_DEFAULTS[field].of(entry)]),
  );
  const whole = { ...entry, ...filled } as Species;
  const lengthMass = lengthMassFor(entry, pairs);
  const hatching = hatchingFor(whole, hatchings);
  const growth = growthFor(entry, growths);
  return { ...whole, key, lengthMass, hatching, growth, defaulted: blank };
}

/** The entry behind a species: its defaults taken out again. */
export function entryOf({
  key: _,
  lengthMass: __,
  hatching: ___,
  growth: ____,
  defaulted,
  ...species
}: Species): SpeciesEntry {
  return {
    ...species,
    ...Object.fromEntries(defaulted.map((field) => [field, null])),
  } as SpeciesEntry;
}

/** Every species by its key: the catalogue's, and the keeper's own with the figures of their relatives. */
export function speciesByKey(
  species: readonly Species[],
  own: readonly { id: string; entry: SpeciesEntry }[],
): Map<string, Species> {
  const relatives = {
    pairs: pairsOf(species),
    hatchings: hatchingsOf(species),
    growths: growthRowsOf(species),
  };
  return new Map([
    ...species.map((row) => [row.key, row] as const),
    ...own.map(({ id, entry }) => [OWN + id, resolveSpecies(OWN + id, entry, relatives)] as const),
  ]);
}
