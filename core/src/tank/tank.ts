/** What a tank is for; its kind decides what is guessed about it. */
export const TANK_KINDS = [
  'display',
  'breeding',
  'grow-out',
  'fry tub',
  'quarantine',
  'outdoor tub',
] as const;
export type TankKind = (typeof TANK_KINDS)[number];

export const TANK_SHAPES = [
  'box',
  'bow front',
  'corner',
  'hexagon',
  'cylinder',
  'tapered tub',
  'bowl',
] as const;
export type TankShape = (typeof TANK_SHAPES)[number];

export const GROUNDS = ['bare', 'sand', 'gravel', 'soil', 'leaf litter'] as const;
export const DECORS = ['none', 'some', 'much'] as const;
export const FILTERS = ['none', 'sponge', 'internal', 'hanging', 'external', 'sump'] as const;
export const FLOWS = ['still', 'gentle', 'moderate', 'strong'] as const;
export const PLANTINGS = ['none', 'few', 'many', 'dense'] as const;
export const COVERS = ['open', 'loose', 'tight'] as const;
export const SOURCE_WATERS = ['tap', 'rain', 'reverse osmosis', 'well', 'mixed'] as const;

/** The layer that grazers live on, as it is seen on glass, wood and stones. */
export const FILMS = ['none', 'thin', 'furred'] as const;
export type FilmSeen = (typeof FILMS)[number];

/** What a keeper need not say: null lets the app guess, and it shows its guess. */
export interface TankFurnishing {
  ground: (typeof GROUNDS)[number] | null;
  groundDepthCm: number | null;
  /** Wood and stone. */
  decor: (typeof DECORS)[number] | null;
  filter: (typeof FILTERS)[number] | null;
  flow: (typeof FLOWS)[number] | null;
  plants: (typeof PLANTINGS)[number] | null;
  cover: (typeof COVERS)[number] | null;
  sourceWater: (typeof SOURCE_WATERS)[number] | null;
}

export interface TankSize {
  kind: TankKind;
  shape: TankShape;
  /** Inside measures in cm: length (or width across), depth from front to back, height. */
  lengthCm: number | null;
  widthCm: number | null;
  heightCm: number | null;
  /** Height of the water over the floor in cm; null means 90 % of the height. */
  waterLevelCm: number | null;
  /** Litres of water entered by the keeper in place of measures. */
  litres: number | null;
}
