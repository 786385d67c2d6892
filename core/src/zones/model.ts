import type { LightHours } from '../round';
import type { Feeding } from './feeding';
import { feederOf, type Feeder } from './feeder';
import { FILM_FOOD, FILM_UNIT_G, filmOf, type Film } from './film';
import { buriedShare } from './ground';
import { itemsOf, placeOf, type Item } from './item';
import { LAYER_OF } from './layers';
import { meetingOf, type Meeting } from './meeting';
import { watersOf, type Waters } from './water';

/** Everything that runs, as numbers: feeders, particles, and what becomes of a meeting. */
export interface Model {
  light: LightHours;
  fromMin: number;
  endS: number;
  waters: Waters;
  film: Film;
  feeders: Feeder[];
  /** The last is the film. */
  items: Item[];
  /** By feeder, then item. */
  meetings: Meeting[][];
  /** Columns into which each item goes, evenly. */
  columnsOf: number[][];
}

/** Most places that are told apart; further ones share the last. */
const MAX_PLACES = 4;

/**
 * Read a feeding into a model.
 * @param stood what is in the water when it begins
 * @throws RangeError where a drop names a food or a time that is not there
 */
export function modelOf(feeding: Feeding, stood: readonly Item[] = []): Model {
  const foods = new Map(feeding.foods.map((food) => [food.id, food]));
  const named = [...new Set([...feeding.drops.map(placeOf), ...stood.map(({ place }) => place)])];
  const spread = Math.max(1, ...feeding.drops.map((drop) => drop.manner.spots));
  const places = Math.min(MAX_PLACES, Math.max(1, named.length) + spread - 1);
  const film = filmOf(feeding.tank, feeding.groups);
  const feeders = feeding.groups.map((group) => feederOf(group, feeding.tank));
  const columnsOf: number[][] = [];
  const columnOf = (place: string) => Math.min(places - 1, named.indexOf(place));
  const items = feeding.drops.flatMap((drop, at) => {
    const food = foods.get(drop.foodId);
    if (!food) throw new RangeError(`the food of serving ${drop.key} is not on the list`);
    const own = columnOf(placeOf(drop));
    const others = Array.from({ length: places }, (_, column) => column).filter(
      (column) => column !== own,
    );
    const parts = itemsOf(drop, at, food, feeding.fromMin).map((item) => ({
      ...item,
      buries: buriedShare(item, feeding.tank.ground),
    }));
    parts.forEach(() => columnsOf.push([own, ...others].slice(0, Math.max(1, drop.manner.spots))));
    return parts;
  });
  for (const item of stood) {
    items.push(item);
    columnsOf.push([columnOf(item.place)]);
  }
  items.push(filmItem(film));
  columnsOf.push(Array.from({ length: places + 1 }, (_, column) => column));
  return {
    light: feeding.tank.light,
    fromMin: feeding.fromMin,
    endS: (feeding.toMin - feeding.fromMin) * 60,
    waters: watersOf(feeding.tank, places, film.areaCm2),
    film,
    feeders,
    items,
    meetings: feeders.map((feeder) => items.map((item) => meetingOf(feeder, item))),
    columnsOf,
  };
}

const FILM_PIECES = { ...FILM_FOOD.inWater, kind: FILM_FOOD.kind, family: FILM_FOOD.family };

const filmItem = (film: Film): Item => ({
  drop: -1,
  place: '',
  food: FILM_FOOD,
  pieces: FILM_PIECES,
  sizeMm: 0.1,
  count: film.atFirstG / FILM_UNIT_G,
  massG: FILM_UNIT_G,
  inS: 0,
  liftS: Infinity,
  layer: LAYER_OF.film,
  floatS: 0,
  sinkCmS: 0,
  softensS: 1,
  leaches: 0,
  leachS: 1,
  swims: false,
  buries: 0,
  only: null,
});
