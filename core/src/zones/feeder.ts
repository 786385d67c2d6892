import type { Guild, Shape } from '@open-larder/catalogue';
import { eatsNothing } from '../fish';
import type { Eater, SeenFoods } from '../mouth';
import { dailyNeed, evacuationPerHour, largestMeal, type GroupOnDay } from '../ration';
import type { FeedGroup, FeedTank } from './feeding';
import { overLayers } from './layers';

/** A group as the simulation moves it. */
export interface Feeder {
  id: string;
  count: number;
  /** Shares of its time in each layer; what is missing to 1 it spends in shelter. */
  byDay: Float64Array;
  byNight: Float64Array;
  /** Readiness to feed, 0..1. */
  ready: { day: number; dusk: number; night: number };
  /** While it feeds, cm/s; and how far it sees by light, feels and smells in the dark, cm. */
  speedCmS: number;
  sightCm: number;
  touchCm: number;
  /** 0..1: who yields to whom at one place. */
  boldness: number;
  /** Seconds in which it gathers where food is. */
  gathersS: number;
  /** Largest meal of the whole group, and what is in it at first, grams of dry matter. */
  stomachG: number;
  fullAtFirst: number;
  evacuationPerS: number;
  gapeMm: number;
  eater: Eater;
  /** Multiple of the readiness to take a food: 1 unless it was learned. */
  taking: number;
  /** The keeper's own word of a food, by its id, 0..1. */
  seen: SeenFoods;
  needKj: number;
}

/** Body lengths a second while feeding. Assumptions by shape; cruising fish after Videler 1993, Fish Swimming. */
const LENGTHS_PER_S: Record<Shape, number> = {
  'eel-like': 0.8,
  elongated: 1.5,
  fusiform: 2,
  deep: 1.5,
  flat: 0.5,
  shrimp: 0.5,
  snail: 0.03,
};
/** Furthest that food is seen, body lengths; larger food from further off. Assumption. */
const SIGHT_LENGTHS = 3;
/** Felt with barbels or smelled close by, body lengths. Assumption by guild. */
const TOUCH_LENGTHS: Record<Guild, number> = {
  'plant grazer': 0.3,
  'film scraper': 0.4,
  'detritus feeder': 0.8,
  'filter feeder': 0.3,
  omnivore: 0.4,
  'invertebrate picker': 0.6,
  predator: 0.4,
};
/** Seconds to gather for the boldest, and for the shyest. Assumptions. */
const GATHERS_S = { bold: 4, shy: 60 };

/** Groups never change, and the same are read for each day of each plan that is tried. */
const feeders = new WeakMap<FeedGroup, Map<number, Feeder>>();

/** A group's starting traits. Throws RangeError where its length or warmth is impossible. */
export function feederOf(group: FeedGroup, { tempC }: Pick<FeedTank, 'tempC'>): Feeder {
  const byWarmth = feeders.get(group) ?? new Map<number, Feeder>();
  feeders.set(group, byWarmth);
  const feeder = byWarmth.get(tempC) ?? readFeeder(group, tempC);
  byWarmth.set(tempC, feeder);
  return feeder;
}

function readFeeder(group: FeedGroup, tempC: number): Feeder {
  const { species } = group;
  const onDay: GroupOnDay = { ...group, tempC };
  const needKj = dailyNeed(onDay);
  const eats = group.count > 0 && !eatsNothing(group.stage);
  const learned = group.learned ?? { search: 1, taking: 1, coming: 1 };
  const comes = (ready: number) => Math.min(1, ready * learned.coming);
  const { day, dusk, night } = species.activityByLight;
  return {
    id: group.id,
    count: eats ? group.count : 0,
    byDay: overLayers(species.presenceDay),
    byNight: overLayers(species.presenceNight),
    ready: { day: comes(day), dusk: comes(dusk), night: comes(night) },
    speedCmS: LENGTHS_PER_S[species.shape] * group.lengthCm * learned.search,
    sightCm: SIGHT_LENGTHS * group.lengthCm,
    touchCm: TOUCH_LENGTHS[species.guild] * group.lengthCm,
    boldness: species.boldness,
    gathersS: GATHERS_S.shy + (GATHERS_S.bold - GATHERS_S.shy) * species.boldness,
    stomachG: eats ? largestMeal(onDay).value : 0,
    fullAtFirst: 0,
    evacuationPerS: evacuationPerHour(onDay).value / 3600,
    gapeMm: group.lengthCm * 10 * species.gapeShare,
    eater: species,
    taking: learned.taking,
    seen: { taken: group.taken, eats: group.eats },
    needKj: needKj.value,
  };
}
