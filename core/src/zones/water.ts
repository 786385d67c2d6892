import type { FeedTank } from './feeding';
import { LAYERS, LAYER_COUNT, GROUND, FILM } from './layers';

/** The water cut into places at which food is put and the water elsewhere, each into its layers. */
export interface Waters {
  /** Places first, elsewhere last. */
  columns: number;
  areaCm2: Float64Array;
  /** Of each cell: cm³ in the water, cm² on the ground and on the film. */
  size: Float64Array;
  /** Height of the layers in the water, cm. */
  heightCm: Float64Array;
  /** Share of particles that drift from a place to elsewhere each second, and back. */
  driftPerS: number;
  backPerS: Float64Array;
  /** Share of what hovers that changes into a neighbouring depth each second, through each layer. */
  mixesCmS: number;
}

/** Food thrown in one place lies within this of it. Assumption: a hand's breadth either side. */
const PLACE_RADIUS_CM = 12;
/** Thickness of the layer in which surface feeders take food. Assumption. */
const SURFACE_CM = 3;
/** Speed of the water along and up and down, cm/s. Assumptions by how it is described. */
const ALONG_CM_S = { still: 0.05, gentle: 0.4, moderate: 1.5, strong: 4 };
const UPDOWN_CM_S = { still: 0.02, gentle: 0.1, moderate: 0.4, strong: 1 };
/** What lies on the ground is shoved along this much less. Assumption. */
export const GROUND_DRIFT = 0.02;

/** @param places at which food is put, at least one */
export function watersOf(tank: FeedTank, places: number, filmAreaCm2: number): Waters {
  const floor = tank.lengthCm * tank.widthCm;
  const columns = places + 1;
  const place = Math.min(Math.PI * PLACE_RADIUS_CM ** 2, floor / columns);
  const areaCm2 = new Float64Array(columns).fill(place);
  areaCm2[places] = floor - place * places;
  const surface = Math.min(SURFACE_CM, tank.depthCm / 4);
  const below = (tank.depthCm - surface) / 3;
  const heightCm = Float64Array.of(surface, below, below, below);
  const size = new Float64Array(columns * LAYER_COUNT);
  for (let column = 0; column < columns; column += 1) {
    const area = areaCm2[column] as number;
    LAYERS.forEach((_, layer) => {
      size[column * LAYER_COUNT + layer] =
        layer === GROUND
          ? area
          : layer === FILM
            ? (filmAreaCm2 * area) / floor
            : area * (heightCm[layer] as number);
    });
  }
  const driftPerS = ALONG_CM_S[tank.flow] / (2 * PLACE_RADIUS_CM);
  return {
    columns,
    areaCm2,
    size,
    heightCm,
    driftPerS,
    backPerS: areaCm2.map((area) => (driftPerS * area) / (areaCm2[places] as number)),
    mixesCmS: UPDOWN_CM_S[tank.flow],
  };
}
