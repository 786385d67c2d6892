import type { Presence, Zone } from '@open-larder/catalogue';

/** Where food and fish can be, from the top: the film of the surface, three depths, ground, and what grows on glass and wood. */
export const LAYERS = ['surface', 'upper', 'middle', 'lower', 'ground', 'film'] as const;
export type Layer = (typeof LAYERS)[number];
export const LAYER_COUNT = LAYERS.length;
export const GROUND = LAYERS.indexOf('ground');
export const FILM = LAYERS.indexOf('film');

/** The layer at which food is put when it is carried to a zone. */
export const LAYER_OF: Record<Zone, number> = {
  surface: LAYERS.indexOf('surface'),
  mid: LAYERS.indexOf('middle'),
  bottom: GROUND,
  film: FILM,
};

/** The zones of a species over the layers: mid-water is shared evenly by its three depths. */
export function overLayers(presence: Presence): Float64Array {
  const mid = presence.mid / 3;
  return Float64Array.of(presence.surface, mid, mid, mid, presence.bottom, presence.film);
}
