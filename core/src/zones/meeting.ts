import {
  fits,
  formOf,
  massOfPieceG,
  mouthful,
  readiness,
  takes,
  takesApart,
  wasEaten,
  widthAt,
  type Offer,
  type Pieces,
} from '../mouth';
import type { Feeder } from './feeder';
import { FILM_FOOD, RASPS } from './film';
import type { Item } from './item';

/** What becomes of it when a fish of one group comes upon a particle. */
export interface Meeting {
  /** Likelihood that it is taken; 0 where it does not fit. */
  taken: number;
  /** Seconds that one particle keeps one fish busy, whole or bite by bite. */
  handlingS: number;
  /** How far off the particle is found by light, and in the dark, cm. */
  reachCm: { day: number; night: number };
  /** Bitten rather than swallowed: slower while it is hard. */
  bites: boolean;
}

/**
 * A particle is seen from a distance in proportion to its size: reactive distance is about linear in
 * prey size (O'Brien 1979, Am. Sci. 67:572). Sixty times: assumption in the range reported.
 */
const SEEN_SIZES = 60;
/**
 * Seconds over a particle: a moment for small ones, rising steeply as it nears the mouth's width
 * (Werner 1974, J. Fish. Res. Board Can. 31:1531). Figures are assumptions.
 */
const HANDLING_S = 0.4;
const NEAR_THE_MOUTH = 6;
/** Particles under this share of the mouth are taken several at a gulp. Assumption. */
const GULPED = 0.2;
/** Particles under this share of the mouth are hardly noticed, save by what filters. Assumption. */
const TOO_FINE = 0.02;
/** A bite is this share of the mouth wide and takes this long. Assumptions. */
const BITE_SHARE = 0.2;
/** Claws and radulas tear off more than the mouth takes at once: some 0.4 mg a minute of a large shrimp. Assumption. */
const TORN_SHARE = 0.35;
const FLAKE_BITE = 0.8;
const BITE_S = 2;

/** Seconds over one unit of film. Assumption. */
const RASP_S = 1;
/** A rasping mouth moves at this share of the speed at which its fish goes for food. Assumption. */
const RASPING_SPEED = 0.05;

/** The one size that a particle has. */
function onePiece({ pieces, sizeMm }: Item) {
  const widthMm = widthAt(pieces, sizeMm);
  return {
    particleMinMm: sizeMm,
    particleMaxMm: sizeMm,
    widthMinMm: widthMm,
    widthMaxMm: widthMm,
  };
}

/** Grams that a fish takes off at once. */
function biteOf({ eater, gapeMm }: Feeder, { pieces }: Item): number {
  // A flake is thin and soft: what is torn off is nearly as wide as the mouth.
  if (formOf(pieces) === 'flake') return massOfPieceG(pieces, FLAKE_BITE * gapeMm);
  // mm³ of a bite are mg: what is bitten is about as heavy as water.
  return ((takesApart(eater) ? TORN_SHARE : BITE_SHARE) * gapeMm) ** 3 / 1000;
}

/** By feeder, then by the pieces of a food: particles of the same size are met alike in each plan that is tried. */
const met = new WeakMap<Feeder, WeakMap<Pieces, Map<string, Meeting>>>();

/** How a group meets a particle. */
export function meetingOf(feeder: Feeder, item: Item): Meeting {
  const ofFeeder = met.get(feeder) ?? new WeakMap<Pieces, Map<string, Meeting>>();
  met.set(feeder, ofFeeder);
  const ofPieces = ofFeeder.get(item.pieces) ?? new Map<string, Meeting>();
  ofFeeder.set(item.pieces, ofPieces);
  const apart = item.only !== null && item.only !== feeder.id;
  const key = `${item.sizeMm} ${item.massG.toPrecision(9)} ${apart}`;
  const meeting = ofPieces.get(key) ?? meet(feeder, item);
  ofPieces.set(key, meeting);
  return meeting;
}

function meet(feeder: Feeder, item: Item): Meeting {
  const { food } = item;
  const offer: Offer = {
    ...food,
    ...item.pieces,
    ...onePiece(item),
  };
  const lengthCm = feeder.gapeMm / 10 / feeder.eater.gapeShare;
  const { fit } = fits(feeder.eater, lengthCm, offer, wasEaten(feeder.seen, food.id));
  const expected = readiness(feeder.seen, food.id, takes(feeder.eater, offer).likely.value);
  const likely = Math.min(1, expected * feeder.taking);
  const apart = item.only !== null && item.only !== feeder.id;
  if (food === FILM_FOOD) {
    // A mouth clears a strip as wide as itself: half of it to either side.
    const strip = (feeder.gapeMm / 20) * RASPING_SPEED;
    const taken = likely * RASPS[feeder.eater.guild];
    return { taken, handlingS: RASP_S, reachCm: { day: strip, night: strip }, bites: false };
  }
  const seen = (item.sizeMm / 10) * SEEN_SIZES;
  const reachCm = {
    day: Math.max(feeder.touchCm, Math.min(feeder.sightCm, seen)),
    night: feeder.touchCm,
  };
  if (apart || fit === 'too large') return { taken: 0, handlingS: 1, reachCm, bites: false };
  if (fit === 'in bites') {
    const biteG = biteOf(feeder, item);
    return { taken: likely, handlingS: (item.massG / biteG) * BITE_S, reachCm, bites: true };
  }
  const ratio = mouthful(offer, item.sizeMm, feeder.gapeMm, lengthCm);
  const filters = feeder.eater.guild === 'filter feeder';
  const noticed = filters ? 1 : Math.min(1, ratio / TOO_FINE);
  const alone = HANDLING_S * (1 + NEAR_THE_MOUTH * Math.min(1, ratio) ** 2);
  const gulp = Math.min(1, ratio / GULPED) ** (filters ? 3 : 2);
  return { taken: likely * noticed, handlingS: alone * gulp, reachCm, bites: false };
}
