import { ascending, sum } from 'd3-array';
import { checkpointsOf, type BroodCheckpoint } from './checkpoints';
import { afterClutches, type Clutch } from './clutches';
import type { GrowthLevel, Species } from '@open-larder/catalogue';
import type { BreedingStrategy } from '@open-larder/catalogue/breedingStrategies';
import { longestSafeGap } from '../ration';
import { addDays, daysBetween } from '../round';
import { nextOf, stagesOf, swimsOn, type Dated } from './dates';
import { atHand, couldGrow, feedsOf, withinReach, type Feed } from './feeds';
import { growingFrom } from './growing';
import { ladderOf, type Rung } from './ladder';
import { broodOn, inOrder, type BroodEvent, type BroodState } from './line';
import { defaultFirstFood, menuOf, type BroodFood } from './menu';
import { mealsOf, type FryMeal } from './meals';
import { widestPreyUm } from './mouth';
import { STRATEGIES } from './strategies';
import { programmeOf, type NeverFood, type StandingSpan } from './programme';
import { broodTraits, type BroodTraits } from './traits';
import type { RaiseNeed } from './raise';
import type { Checkpoint } from '../growth';
import { clutchRecord, type ClutchRecord } from './record';
import { reachedOn, targetOf } from './target';
import { treated } from './treated';
import { servedOf, tubsOf, type ServedToTub, type TubStatus } from './tubs';
import type { EggCare, FirstFood, Raising, StandingFood } from './vocabulary';
import { weeksAhead, type WeekAhead } from './weeks';

export interface BroodTub {
  id: string;
  name: string;
  litres: number;
  tempC: number;
  /** Null if not tested. Ammonia is computed at 7.5 at the least: new water may raise it. */
  ph: number | null;
  /** A filter that has grown in takes the ammonia up: then no daily change is computed. */
  filtered: boolean;
}

/** What a brood is reported from. */
export interface BroodTask {
  species: Species;
  strategy: BreedingStrategy;
  events: readonly BroodEvent[];
  /** The first is where it began; none is a litre of room for what is not told. */
  tubs: readonly BroodTub[];
  raising: Raising;
  /** Null takes what suits the mouth. */
  firstFood: FirstFood | null;
  eggCare: EggCare;
  foods: readonly BroodFood[];
  today: string;
  /** Times of the day at which someone can feed them, in the order of the light, and hours of light. */
  times: readonly number[];
  lightHours: number;
  /** Length at which someone takes them, cm; null takes half of an adult’s. */
  targetCm: number | null;
  /** Lengths that the keeper set for them. */
  checkpoints: readonly Checkpoint[];
  /** For so many days the pair is conditioned; null takes two weeks. */
  conditionDays: number | null;
  /** What was seen of earlier clutches of the species here. */
  clutches?: readonly Clutch[];
  /** What was given to its tubs yesterday and today, as it was logged. */
  served?: readonly ServedToTub[];
}

/** A rung on its days. */
export interface RungDay {
  key: string;
  name: string;
  live: boolean;
  kindKey: string | null;
  foodId: string | null;
  minUm: number;
  maxUm: number;
  mouthUm: number;
  from: string;
  /** The first day without it; null for the last. */
  to: string | null;
  there: boolean;
  /** The last day on which its culture can be started in time; null for what is there or is bought. */
  startBy: string | null;
  leadDays: number;
  /** They were seen to take it. */
  taken: boolean;
}

/** What one young asks for at a length, and the day of it. */
export interface NeedAt extends Omit<RaiseNeed, 'live'> {
  day: string;
  meals: number;
  live: { name: string; key: string; oneG: number } | null;
}

/** A food left standing in the water, on its days; null for one that stays. */
export interface StandingDay {
  what: StandingFood;
  from: string;
  to: string | null;
}

/** Everything that is reported of a brood on a day. */
export interface BroodStatus {
  state: BroodState;
  stages: Dated[];
  /** What is waited for next; null where nothing is. */
  next: Dated | null;
  swim: Dated | null;
  assumed: BroodTraits['assumed'];
  /** Whose pace of growth it is computed with. */
  growthLevel: GrowthLevel;
  firstFood: FirstFood;
  /** Young that are computed with, and whether anyone counted them. */
  count: number;
  counted: boolean;
  /** Days since they swim free; negative before, null if unknown. */
  ageDays: number | null;
  lengthCm: number | null;
  /** Mean length on each day from swimming free, cm. */
  lengthsCm: number[];
  mouthsUm: number[];
  rungs: RungDay[];
  /** Days from swimming free on which nothing of the chosen practice fits. */
  gapDays: number;
  /** What stands in the water for them, and what must not be given. */
  standing: StandingDay[];
  never: NeverFood[];
  feeds: Feed[];
  /** Today’s meals, by time and tub. */
  meals: FryMeal[];
  tubs: TubStatus[];
  /** Hours that they tolerate without food, today. */
  toleratesHours: number | null;
  targetCm: number;
  target: Dated['day'] | null;
  targetFrom: string | null;
  targetTo: string | null;
  /** What was counted of this clutch on its way. */
  record: ClutchRecord;
  /** Lengths at which something is done. */
  checkpoints: BroodCheckpoint[];
  /** What one young asks for now and at the lengths to come. */
  needs: NeedAt[];
  /** What it asks for from week to week. */
  weeks: WeekAhead[];
  /** By food, grams a day from today on. */
  demand: { key: string; foodId: string | null; kindKey: string | null; gramsOn: number[] }[];
}

/** So far from swimming free the ladder is looked at, and so far ahead what it wants. */
export const LADDER_DAYS = 120;
export const DEMAND_DAYS = 42;
const HERE: BroodTub = { id: '', name: '', litres: 1, tempC: 24, ph: null, filtered: true };

/**
 * The status of a brood on a day, and what is to come: stages, ladder, portions, tubs, the day someone
 * takes them, and what it wants of each food.
 * @throws RangeError as what it is made of, outside its lengths and temperatures
 */
export function computeBroodStatus(task: BroodTask): BroodStatus {
  const { species, strategy, today } = task;
  const first = task.tubs[0] ?? HERE;
  const events = task.events.map((event) => ({ ...event, tubId: event.tubId ?? first.id }));
  const report = broodOn(events, today);
  const usual = broodTraits(species, strategy);
  const traits = {
    ...usual,
    eggs: usual.eggs && afterClutches(usual.eggs, task.clutches ?? []),
  };
  const stages = stagesOf(report, traits, strategy, events, first.tempC);
  const swim = swimsOn(stages);
  // Where no eggs are waited for, young that were seen eat from that day.
  const born = report.phase === 'larvae' && swim?.seen === true;
  const state: BroodState = born ? { ...report, phase: 'fry' } : report;
  const growth = growingFrom(traits, first.tempC, swim, state.tubs);
  const mouthOf = (cm: number) => widestPreyUm(cm, species.gapeShare);
  const lengthsCm = swim === null ? [] : days(LADDER_DAYS).map((day) => growth.lengthCm(day));
  const programme = programmeOf(species, task.firstFood, growth.lengthCm, LADDER_DAYS);
  const firstFood =
    task.firstFood ?? defaultFirstFood(programme.diet, mouthOf(traits.larvalLengthMm / 10));
  const took = swim === null ? new Map<string, number>() : tookOf(events, swim.day, today);
  const climbed =
    swim === null
      ? []
      : ladderOf(
          (day) => growth.lengthCm(day),
          species.gapeShare,
          menuOf(task.foods, firstFood),
          LADDER_DAYS,
          took,
          programme.allows,
        );
  const count = state.count ?? STRATEGIES[strategy.breeding].usualYoung;
  const meantOn = (day: number) =>
    feedsOf(task, climbed, growth.lengthCm(day), count, day, first, programme.carried(day));
  const feedsOn = (day: number) =>
    withinReach(
      meantOn(day),
      task,
      growth.lengthCm(day),
      count,
      (food) => programme.allows(food, day),
      couldGrow,
    );
  const age = swim === null ? null : daysBetween(swim.day, today);
  // What was not seen to swim is not fed, though its day has come: food would only foul.
  const eating = age !== null && age >= 0 && state.phase === 'fry';
  const feeds =
    eating && age < LADDER_DAYS && !treated(task, { state })
      ? atHand(meantOn(age), task, growth.lengthCm(age), count, (food) =>
          programme.allows(food, age),
        )
      : [];
  const lengthCm = age !== null && age >= 0 ? growth.lengthCm(age) : null;
  const tubs = tubsOf(task, state, feeds, growth, age, first, servedOf(task));
  // What is to come is computed as if they swim on their day.
  const laterFeeds = (ahead: number) => {
    const then = (age ?? -1) + ahead;
    return age === null || then < 0 || then >= LADDER_DAYS ? [] : feedsOn(then);
  };
  const target = targetOf(task, traits, growth, swim, first.tempC);
  const checkpoints = checkpointsOf(
    species,
    { lengthsCm, swim, lengthCm, ...target },
    task.checkpoints,
    state.hatchedOn ?? swim?.day ?? null,
    (cm) => reachedOn(cm, traits, growth, swim, first.tempC),
  );
  const needs = needsOf(task, { lengthsCm, swim, lengthCm, count, ...target }, meantOn, (then) =>
    tubsOf(task, state, feedsOn(then), growth, then, first),
  );
  return {
    state,
    stages,
    next: state.phase === 'over' ? null : nextOf(stages, today),
    swim,
    assumed: traits.assumed,
    growthLevel: species.growth.level,
    firstFood,
    count,
    counted: state.count !== null,
    ageDays: age,
    lengthCm,
    lengthsCm,
    mouthsUm: lengthsCm.map(mouthOf),
    rungs: swim === null ? [] : climbed.map((rung) => dayOfRung(rung, swim.day, took)),
    gapDays: swim === null || programme.standing.length > 0 ? 0 : (climbed[0]?.from ?? LADDER_DAYS),
    never: programme.never,
    standing: swim === null ? [] : programme.standing.flatMap((span) => dayOfSpan(span, swim.day)),
    feeds,
    meals: mealsOf(feeds, tubs, task.times),
    tubs,
    toleratesHours: lengthCm === null || !eating ? null : tolerates(species, lengthCm, first.tempC),
    ...target,
    record: clutchRecord(events, state, today),
    checkpoints,
    needs,
    demand: state.phase === 'over' || age === null ? [] : demandOf(climbed, age, feedsOn),
    weeks:
      state.phase === 'over' || age === null
        ? []
        : weeksAhead(today, laterFeeds, (ahead) =>
            tubsOf(task, state, laterFeeds(ahead), growth, age + ahead, first),
          ),
  };
}

/** Days of age on which foods were seen taken, the first time each. */
function tookOf(events: readonly BroodEvent[], swimDay: string, today: string) {
  const took = new Map<string, number>();
  for (const { kind, foodKey, day } of inOrder(events)) {
    if (kind !== 'took' || foodKey === null || day > today || took.has(foodKey)) continue;
    took.set(foodKey, Math.max(0, daysBetween(swimDay, day)));
  }
  return took;
}

const days = (count: number) => Array.from({ length: count }, (_, day) => day);

function dayOfRung(
  { prey, from, to, mouthUm }: Rung<BroodFood>,
  swimDay: string,
  took: ReadonlyMap<string, number>,
): RungDay {
  const { key, name, live, kindKey, foodId, minUm, maxUm, there, leadDays } = prey;
  const day = addDays(swimDay, from);
  return {
    key,
    name,
    live,
    kindKey,
    foodId,
    minUm,
    maxUm,
    mouthUm,
    from: day,
    to: to === Infinity ? null : addDays(swimDay, to),
    there,
    startBy: there || kindKey === null ? null : addDays(day, -leadDays),
    leadDays,
    taken: took.has(key),
  };
}

function dayOfSpan({ what, from, to }: StandingSpan, swimDay: string): StandingDay[] {
  if (from === Infinity) return [];
  return [
    { what, from: addDays(swimDay, from), to: to === Infinity ? null : addDays(swimDay, to) },
  ];
}

const tolerates = (species: Species, lengthCm: number, tempC: number): number =>
  longestSafeGap({ species, stage: 'fry', count: 1, lengthCm, lengthMeasured: false, tempC }).value;

/** Lengths at which it is looked at what one young asks for, cm. */
const NEED_CM = [1, 2, 3];

/** What one young asks for now, at some lengths to come, and at the length at which they go. */
function needsOf(
  task: BroodTask,
  of: Pick<BroodStatus, 'lengthsCm' | 'swim' | 'lengthCm' | 'count' | 'targetCm'>,
  feedsOn: (age: number) => Feed[],
  tubsOn: (age: number) => TubStatus[],
): NeedAt[] {
  const { lengthsCm, swim, lengthCm, count, targetCm } = of;
  if (swim === null || count <= 0) return [];
  const now = lengthCm ?? lengthsCm[0] ?? targetCm;
  const cms = [...new Set([now, ...NEED_CM, targetCm])].filter((cm) => cm >= now && cm <= targetCm);
  return cms.sort(ascending).flatMap((cm): NeedAt[] => {
    const age = lengthsCm.findIndex((one) => one >= cm);
    if (age < 0) return [];
    const feeds = feedsOn(age);
    const live = feeds.filter((feed) => feed.live);
    const wet = tubsOn(age).filter(({ gramsPerDay }) => gramsPerDay > 0);
    const changeL = sum(wet, ({ change, litres }) => (change ?? 1) * litres);
    return [
      {
        lengthCm: cm,
        day: addDays(swim.day, age),
        meals: Math.max(1, ...feeds.map(({ meals }) => meals)),
        live: live[0]
          ? {
              name: live[0].name,
              key: live[0].key,
              oneG: sum(live, ({ gramsPerDay }) => gramsPerDay) / count,
            }
          : null,
        waterL: changeL > 0 ? changeL / count : null,
      },
    ];
  });
}

function demandOf(
  rungs: readonly Rung<BroodFood>[],
  age: number,
  feedsOn: (age: number) => Feed[],
): BroodStatus['demand'] {
  const wanted = new Map(
    rungs.map(({ prey }) => [
      prey.key,
      {
        key: prey.key,
        foodId: prey.foodId,
        kindKey: prey.kindKey,
        gramsOn: Array<number>(DEMAND_DAYS).fill(0),
      },
    ]),
  );
  for (const ahead of days(DEMAND_DAYS)) {
    const on = age + ahead;
    if (on < 0 || on >= LADDER_DAYS) continue;
    for (const { key, gramsPerDay } of feedsOn(on)) {
      const food = wanted.get(key);
      if (food) food.gramsOn[ahead] = gramsPerDay;
    }
  }
  return [...wanted.values()].filter(({ gramsOn }) => gramsOn.some((grams) => grams > 0));
}
