import type { FoodForm, Guild, Zone } from '@open-larder/catalogue';
import { fits, formOf, mouthful, wasEaten, type Fit, type Offer } from '../mouth';
import type { FeedFood } from '../zones';
import type { WeekGroup } from './task';

/** What is left of a food's use to a mouth that takes it so. Assumptions. */
const BY_FIT: Record<Fit, number> = {
  whole: 1,
  'the smaller': 0.9,
  'in bites': 0.7,
  unknown: 0.5,
  'too large': 0,
};

/** How much of a food is there where a fish feeds. Assumptions: it is met on its way, or not at all. */
const BY_PLACE: Record<Zone, Record<FoodForm, number>> = {
  surface: { floats: 1, sinksSlowly: 0.8, sinks: 0.35 },
  mid: { floats: 0.8, sinksSlowly: 1, sinks: 0.5 },
  bottom: { floats: 0.3, sinksSlowly: 0.7, sinks: 1 },
  film: { floats: 0.3, sinksSlowly: 0.6, sinks: 1 },
};
/** For who feeds on the ground slices and leaves are weighted down. Practice. */
const placeOf = ({ kind, form }: FeedFood, zone: Zone, soaked: boolean): number =>
  kind === 'fresh' && (zone === 'bottom' || zone === 'film')
    ? 1
    : BY_PLACE[zone][soaked ? 'sinksSlowly' : form];
/** A tablet or a wafer lies on the ground and is rasped there: it is not for who feeds above it. */
const LIES = 0.4;
/** Pieces from this share of the mouth on are worth picking up; under the other they are dust to it. Assumptions. */
const WORTH_PICKING = 0.15;
const DUST = 0.02;
const OF_DUST = 0.25;
/** Guilds that sift, rasp or strain take what is fine as well. */
const TAKES_FINE: ReadonlySet<Guild> = new Set([
  'filter feeder',
  'film scraper',
  'detritus feeder',
  'plant grazer',
]);
/** What would be thrown away otherwise comes a little before the rest. */
const ENDS = 1.1;

/**
 * How well a food suits a group, 0..1 or a little above: taste, mouth, pieces worth picking up, where it is
 * met, plants against what its kind eats, and whether it would spoil. All weights are assumptions; they only rank.
 * @param taken how readily the group takes it, 0..1
 * @param expiring some of it passes its last good day within the cycle
 * @param soaked it is soaked before, and no longer floats
 */
export function suitability(
  group: WeekGroup,
  food: FeedFood,
  taken: number,
  { expiring, soaked }: { expiring: boolean; soaked: boolean },
): number {
  const { species, lengthCm } = group;
  const offer = { ...food, ...food.inWater };
  const { zone, plantShareMin: low, plantShareMax: high } = species;
  const aboveGround = zone === 'surface' || zone === 'mid';
  const lies = aboveGround && food.kind === 'dry' && formOf(offer) === 'disc' ? LIES : 1;
  const { fit } = fits(species, lengthCm, offer, wasEaten(group, food.id));
  const off = Math.max(0, low - food.plantShare, food.plantShare - high);
  return (
    taken *
    BY_FIT[fit] *
    (fit === 'whole' && !TAKES_FINE.has(species.guild) ? bySize(group, offer) : 1) *
    placeOf(food, zone, soaked) *
    lies *
    (1 - off / 2) *
    (expiring ? ENDS : 1)
  );
}

/** How much the largest of its pieces is worth to a mouth: a large fish does not live on fleas. */
function bySize({ species, lengthCm }: WeekGroup, offer: Offer): number {
  if (offer.particleMaxMm === null) return 1;
  const gapeMm = species.gapeShare * lengthCm * 10;
  const share = mouthful(offer, offer.particleMaxMm, gapeMm, lengthCm);
  if (share >= WORTH_PICKING) return 1;
  const finer = Math.log(WORTH_PICKING / share) / Math.log(WORTH_PICKING / DUST);
  return Math.max(OF_DUST, 1 - (1 - OF_DUST) * finer);
}
