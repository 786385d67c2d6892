import type { FoodFamily } from '@open-larder/catalogue';
import { LAYERS, LAYER_COUNT, type Frame, type Scene } from '@open-larder/core/zones';

/** A particle as it is drawn: where along the tank and how deep, both 0..1; or on glass and wood. */
export interface Dot {
  key: string;
  family: FoodFamily;
  along: number;
  deep: number;
  onFilm: boolean;
  sizeMm: number;
}

/** Dots drawn of one drop: more would only be a cloud. */
const DRAWN = 42;
const FEWEST = 3;
/** Depths of the layers' upper edges, as shares of the water: the surface film is drawn thin. */
const TOPS = [0, 0.06, 0.36, 0.66];
const GROUND = LAYERS.indexOf('ground');
const FILM = LAYERS.indexOf('film');
/** Where the places lie along the tank; half their width. */
const PLACES = [0.2, 0.8, 0.5, 0.35];
const NEAR = 0.09;

/** Middle of a place along the tank, 0..1. */
export const placeAt = (column: number): number => PLACES[column % PLACES.length] as number;

/**
 * What to draw of the food in one frame. Each dot stands for a fixed share of its particles: those
 * first in order sink first, those last in order are eaten first, so that dots move and vanish
 * rather than flicker.
 */
export function dotsOf(scene: Scene, frame: Frame): Dot[] {
  const width = scene.items.length + 1;
  const perDrop = new Map<number, number>();
  for (const item of scene.items) {
    perDrop.set(item.drop, (perDrop.get(item.drop) ?? 0) + item.servedG);
  }
  return scene.items.flatMap((item, i) => {
    if (frame.atS < item.inS || item.servedG <= 0) return [];
    const of = perDrop.get(item.drop) as number;
    const count = Math.max(FEWEST, Math.round((DRAWN * item.servedG) / of));
    const layers = LAYERS.map((_, layer) => {
      let grams = 0;
      for (let column = 0; column < scene.columns; column += 1) {
        grams += frame.lies[(column * LAYER_COUNT + layer) * width + i] as number;
      }
      return grams / item.servedG;
    });
    return Array.from({ length: count }, (_, dot) => {
      const spot = deepOf(layers, (dot + 0.5) / count);
      if (spot === null) return null;
      const seed = i * 31 + dot * 17 + 3;
      const column = columnOf(scene, frame, i, spot.layer, (seed * 0.7548) % 1);
      return {
        key: `${i}.${dot}`,
        family: item.family,
        along: alongOf(scene, column, (seed * 0.618) % 1),
        deep: spot.deep,
        onFilm: spot.layer === FILM,
        sizeMm: item.sizeMm,
      };
    }).filter((dot) => dot !== null);
  });
}

/** Deepest first: film, ground, then up through the depths; past them all it is gone. */
const ORDER = [FILM, GROUND, 3, 2, 1, 0];

function deepOf(layers: readonly number[], order: number): { layer: number; deep: number } | null {
  let before = 0;
  for (const layer of ORDER) {
    const share = layers[layer] as number;
    if (order <= before + share) {
      if (layer === GROUND) return { layer, deep: 1 };
      if (layer === FILM) return { layer, deep: 0.4 + 0.5 * ((order * 7.3) % 1) };
      const top = TOPS[layer] as number;
      const foot = TOPS[layer + 1] ?? 1;
      return { layer, deep: foot - ((order - before) / share) * (foot - top) };
    }
    before += share;
  }
  return null;
}

/** Grams of food in each layer of the whole tank; the film that grows there is not counted. */
export function lyingBy(scene: Scene, frame: Frame): Float64Array {
  const width = scene.items.length + 1;
  const grams = new Float64Array(LAYER_COUNT);
  for (let cell = 0; cell < scene.columns * LAYER_COUNT; cell += 1) {
    for (let item = 0; item < width - 1; item += 1) {
      const layer = cell % LAYER_COUNT;
      grams[layer] = (grams[layer] as number) + (frame.lies[cell * width + item] as number);
    }
  }
  return grams;
}

/** Which column a dot of a layer is in: as many dots as food. */
function columnOf(scene: Scene, frame: Frame, i: number, layer: number, share: number): number {
  const width = scene.items.length + 1;
  const grams = Array.from(
    { length: scene.columns },
    (_, column) => frame.lies[(column * LAYER_COUNT + layer) * width + i] as number,
  );
  let left = share * grams.reduce((sum, part) => sum + part, 0);
  const found = grams.findIndex((part) => (left -= part) <= 0);
  return found < 0 ? scene.columns - 1 : found;
}

/** Places keep together; elsewhere is all along the tank. */
const alongOf = (scene: Scene, column: number, share: number): number =>
  column === scene.columns - 1 ? 0.03 + 0.94 * share : placeAt(column) + (share - 0.5) * 2 * NEAR;

/** How far a group has come to places, and where its middle is drawn: 0..1 each. */
export function pullOf(scene: Scene, frame: Frame, f: number): { pull: number; along: number } {
  let pull = 0;
  let along = 0;
  for (let column = 0; column < scene.columns - 1; column += 1) {
    const here = frame.where[f * scene.columns + column] as number;
    const more = Math.max(0, here - (scene.areaShare[column] as number));
    pull += more;
    along += more * placeAt(column);
  }
  return pull > 0
    ? { pull: Math.min(1, pull / 0.85), along: along / pull }
    : { pull: 0, along: 0.5 };
}

/** The frame that stands at a time: the last one not later. */
export function frameAt(frames: readonly Frame[], atS: number): number {
  let [low, high] = [0, frames.length - 1];
  while (low < high) {
    const middle = Math.ceil((low + high) / 2);
    if ((frames[middle] as Frame).atS <= atS) low = middle;
    else high = middle - 1;
  }
  return low;
}
