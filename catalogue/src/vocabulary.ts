/** The closed word lists that catalogue rows, schemas and the computation share. */
export const SHAPES = [
  'eel-like',
  'elongated',
  'fusiform',
  'deep',
  'flat',
  'shrimp',
  'snail',
] as const;
export type Shape = (typeof SHAPES)[number];

export const GUILDS = [
  'plant grazer',
  'film scraper',
  'detritus feeder',
  'filter feeder',
  'invertebrate picker',
  'predator',
  'omnivore',
] as const;
export type Guild = (typeof GUILDS)[number];

/** Where a group takes its food. `film` is the living layer on glass, wood and stone. */
export const ZONES = ['surface', 'mid', 'bottom', 'film'] as const;
export type Zone = (typeof ZONES)[number];

export const ACTIVITIES = ['day', 'dusk', 'night'] as const;
export type Activity = (typeof ACTIVITIES)[number];

export const MOUTHS = ['up', 'terminal', 'down', 'sucker'] as const;
export type Mouth = (typeof MOUTHS)[number];

/** How much nitrate a species tolerates over months. */
export const NITRATE_CLASSES = ['low', 'moderate', 'high'] as const;
export type NitrateClass = (typeof NITRATE_CLASSES)[number];

/** Ways of breeding, each with its own timetable. */
export const BREEDINGS = [
  'egg scatterer',
  'plant spawner',
  'surface spawner',
  'cave spawner',
  'mouth-brooder',
  'bubble-nester',
  'annual',
  'live-bearer',
  'skin feeder',
  'mussel spawner',
  'egg carrier',
  'clutch layer',
  'not bred at home',
] as const;
export type Breeding = (typeof BREEDINGS)[number];

export const FOOD_KINDS = ['dry', 'gel', 'frozen', 'fresh', 'mix', 'live'] as const;
export type FoodKind = (typeof FOOD_KINDS)[number];

/** Six families by shape of their sign: grain, cube, leaf, wriggle, jelly, mortar. */
export const FOOD_FAMILIES = ['grain', 'cube', 'leaf', 'wriggle', 'jelly', 'mortar'] as const;
export type FoodFamily = (typeof FOOD_FAMILIES)[number];

export const FOOD_FORMS = ['floats', 'sinksSlowly', 'sinks'] as const;
export type FoodForm = (typeof FOOD_FORMS)[number];

/** Forms of a piece of food: how its size becomes a mass, and how it goes into a mouth. */
export const PIECE_FORMS = [
  'flake',
  'grain',
  'stick',
  'disc',
  'block',
  'worm',
  'crustacean',
  'shell',
  'leaf',
  'powder',
] as const;
export type PieceForm = (typeof PIECE_FORMS)[number];

/** What is done to a food before it is served. */
export const PREPARATIONS = [
  'rinse',
  'thaw',
  'soak',
  'crumble',
  'blanch',
  'weigh-down',
  'set',
  'hatch',
  'open-freeze',
  'crush and sieve',
  'take out of the freezer',
] as const;
export type Preparation = (typeof PREPARATIONS)[number];
