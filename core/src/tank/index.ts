export {
  COVERS,
  DECORS,
  FILMS,
  FILTERS,
  FLOWS,
  GROUNDS,
  PLANTINGS,
  SOURCE_WATERS,
  TANK_KINDS,
  TANK_SHAPES,
  type FilmSeen,
  type TankFurnishing,
  type TankKind,
  type TankShape,
  type TankSize,
} from './tank';
export { furnishingOf, type Furnishings } from './guesses';
export { measuresOf, type Measures } from './measures';
export { waterLitres, type TankWater } from './water';
