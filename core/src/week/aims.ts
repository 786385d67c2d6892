import type { Guild } from '@open-larder/catalogue';
import { digestibleEnergy } from '../food';
import { onlyBinds, readiness, takes } from '../mouth';
import { FILM_FOOD, type FeedFood } from '../zones';
import type { GroupOutcome, WeekOutcome } from './outcome';
import type { WeekGroup, WeekTask } from './task';

/** What a plan ought to do, each said with its figure: met or missed. */
export type AimKind =
  /** Energy of a feeding day within a tenth of the need, % of it. */
  | 'energy'
  /** A fasting day on which next to nothing is eaten, % of a day's need. */
  | 'fast'
  /** Plant share of the energy over the cycle, %. */
  | 'plant'
  /** Protein and fibre of the dry matter eaten, %. */
  | 'protein'
  | 'fibre'
  /** Servings in seven days of a food that it should have little of. */
  | 'capped'
  /** Servings in seven days of a food against the keeper's own limit. */
  | 'rule'
  /** Different foods over the cycle, and the share of the one that it gets most of, %. */
  | 'variety'
  | 'dominant'
  /** Moments with food on a day on which it must never be empty. */
  | 'meals'
  /** Minutes of work at a moment against those that the keeper has. */
  | 'work';

export interface Aim {
  kind: AimKind;
  /** The group that it is about; null for the tank. */
  groupId: string | null;
  /** What it is about beyond its group: a capped word, a moment's id. */
  about: string;
  /** The worst figure, and between which it should lie; null leaves an end open. */
  value: number;
  low: number | null;
  high: number | null;
  met: boolean;
  /** How far outside, as a share of what is wanted; 0 where it is met. */
  missedBy: number;
  /** Days of the cycle, from 0, on which it is missed; empty where it is about all of them. */
  days: number[];
}

/** Fibre of the dry matter, lowest and highest, by guild. Assumptions. */
export const FIBRE: Record<Guild, readonly [number, number]> = {
  'plant grazer': [0.04, 0.15],
  'film scraper': [0.03, 0.15],
  'detritus feeder': [0.02, 0.15],
  'filter feeder': [0, 0.1],
  omnivore: [0, 0.1],
  'invertebrate picker': [0, 0.08],
  predator: [0, 0.06],
};
/** Energy lies well within a tenth of the need. */
export const ENERGY_BAND = [0.9, 1.1] as const;
/**
 * How far a day lies outside that band, as a share of the need; negative inside it. Of what is too much only
 * what was given counts: a grazer is not to be kept from its film.
 */
export function energyOff({ needKj, gotKj, grazedKj }: GroupOutcome): number {
  const share = gotKj / needKj;
  const given = (gotKj - grazedKj) / needKj;
  return Math.max(ENERGY_BAND[0] - share, Math.min(share - ENERGY_BAND[1], given));
}

/** On a fasting day so much of a day's need passes for nothing. Assumption. */
export const FAST_MOST = 0.15;
/** Servings in seven days of what a group should have only little of. Assumption. */
export const CAPPED_PER_WEEK = 2;
/** Different foods over a week, and the largest part that one of them may be. Assumptions. */
export const VARIETY = 3;
export const DOMINANT = 0.7;
const HALF_MIN = 0.5;
/** Figures that no simulation shows apart. */
const NOTHING = 0.005;

/** Foods of a task with what a group makes of them. */
export function foodsFor(task: Pick<WeekTask, 'foods'>, group: WeekGroup) {
  return task.foods.map((food) => {
    const { likely, capped } = takes(group.species, { ...food, ...food.inWater });
    const expected = onlyBinds(food) ? 0 : likely.value;
    return { food, taken: readiness(group, food.id, expected), capped };
  });
}

/** Judge a simulated cycle, group by group. */
export function aimsOf(task: WeekTask, outcome: WeekOutcome): Aim[] {
  return [
    ...task.groups.flatMap((group, f) => groupAims(task, outcome, group, f)),
    ...workAims(task, outcome),
  ];
}

function groupAims(task: WeekTask, { days }: WeekOutcome, group: WeekGroup, f: number): Aim[] {
  const fed = days.filter((day) => day.groups[f]!.rest === null);
  if (group.count === 0 || fed.length === 0) return [];
  const aims: Aim[] = [];
  const add = (
    kind: AimKind,
    value: number,
    low: number | null,
    high: number | null,
    over: Partial<Pick<Aim, 'about' | 'days'>> = {},
  ) => aims.push(aimOf(kind, group.id, value, low, high, over));

  const shares = days.map(({ groups }) =>
    groups[f]!.rest === null && groups[f]!.needKj > 0 ? groups[f]!.gotKj / groups[f]!.needKj : null,
  );
  const off = (d: number) => (shares[d] === null ? -Infinity : energyOff(days[d]!.groups[f]!));
  const worst = days.reduce(
    (a, _, d) => (off(d) > off(a) + NOTHING ? d : a),
    days.indexOf(fed[0]!),
  );
  const missed = shares.flatMap((_, d) => (off(d) > NOTHING ? [d] : []));
  // Where nothing that is given is too much, what they graze beyond their need is no miss.
  const share = shares[worst] ?? 1;
  const high = missed.length === 0 ? Math.max(ENERGY_BAND[1], share) : ENERGY_BAND[1];
  add('energy', share * 100, ENERGY_BAND[0] * 100, high * 100, { days: missed });

  const usual = fed[0]!.groups[f]!.needKj;
  const broken = days.flatMap(({ groups }, at) =>
    groups[f]!.rest === 'fast' && usual > 0 ? [{ at, share: groups[f]!.gotKj / usual }] : [],
  );
  if (broken.length > 0) {
    const max = Math.max(...broken.map(({ share }) => share));
    add('fast', max * 100, null, FAST_MOST * 100, {
      days: broken.flatMap(({ at, share }) => (share > FAST_MOST + NOTHING ? [at] : [])),
    });
  }

  const eaten = sumsOf(task, days, group, f);
  if (eaten.kj > 0) {
    const { plantShareMin, plantShareMax, proteinMin, proteinMax, guild } = group.species;
    add('plant', (eaten.plantKj / eaten.kj) * 100, plantShareMin * 100, plantShareMax * 100);
    add('protein', (eaten.proteinG / eaten.dryG) * 100, proteinMin * 100, proteinMax * 100);
    const [low, high] = FIBRE[guild];
    add('fibre', (eaten.fibreG / eaten.dryG) * 100, low > 0 ? low * 100 : null, high * 100);
    const weeks = days.length / 7;
    for (const [word, servings] of eaten.capped) {
      add('capped', servings / weeks, null, CAPPED_PER_WEEK, { about: word });
    }
    for (const [foodId, { servings, max }] of eaten.limited) {
      if (servings / weeks > max) add('rule', servings / weeks, null, max, { about: foodId });
    }
    add('variety', eaten.foods, Math.min(VARIETY, eaten.offered), null);
    if (eaten.offered > 1) add('dominant', eaten.largest * 100, null, DOMINANT * 100);
  }
  if (group.stage === 'fry') {
    const moments = task.house.moments.length;
    const min = Math.min(
      ...fed.map(
        (day) =>
          new Set(day.drops.filter((drop) => drop.groupId === group.id).map((drop) => drop.atMin))
            .size,
      ),
    );
    add('meals', min, Math.min(3, moments), null);
  }
  return aims;
}

/** A food of tank-mates counts as eaten from this share of the energy on. */
const COUNTS = 0.03;

function sumsOf(task: WeekTask, days: WeekOutcome['days'], group: WeekGroup, f: number) {
  const known = foodsFor(task, group);
  const kjOf = [...task.foods, FILM_FOOD].map((_, at) =>
    days.reduce((sum, day) => sum + day.groups[f]!.kj[at]!, 0),
  );
  const kj = kjOf.reduce((sum, part) => sum + part, 0);
  let plantKj = 0;
  let proteinG = 0;
  let fibreG = 0;
  let dryG = 0;
  const perGram = energyPerGram(task, group);
  [...task.foods, FILM_FOOD].forEach((food, at) => {
    const energy = perGram[at]!;
    if (energy <= 0) return;
    const grams = kjOf[at]! / energy;
    plantKj += kjOf[at]! * food.plantShare;
    proteinG += grams * food.composition.protein;
    fibreG += grams * food.composition.fibre;
    dryG += grams * (1 - food.composition.moisture);
  });
  const capped = new Map<string, number>(group.species.capped.map((word) => [word, 0]));
  for (const day of days) {
    for (const drop of day.drops) {
      if (drop.groupId !== group.id) continue;
      const word = known.find(({ food }) => food.id === drop.foodId)?.capped;
      if (word) capped.set(word, (capped.get(word) ?? 0) + 1);
    }
  }
  const rules = task.house.groups.find((one) => one.id === group.id)?.diet?.rules ?? [];
  const limited = new Map(
    rules.flatMap(({ foodId, taken, mostPerWeek }) => {
      const max = taken === 0 ? 0 : mostPerWeek;
      const servings = days.reduce(
        (sum, day) =>
          sum +
          day.drops.filter((drop) => drop.groupId === group.id && drop.foodId === foodId).length,
        0,
      );
      return max === null ? [] : [[foodId, { servings, max }] as const];
    }),
  );
  const own = kjOf.slice(0, -1);
  // What they are given is varied by servings: a slice or a treat counts like a meal of the staple.
  const servings = new Map<string, number>();
  for (const { drops, reaches } of days) {
    drops.forEach(({ foodId, groupId }, at) => {
      if (groupId !== group.id || reaches[at]![f]! <= NOTHING) return;
      servings.set(foodId, (servings.get(foodId) ?? 0) + 1);
    });
  }
  const all = [...servings.values()].reduce((sum, count) => sum + count, 0);
  const eatenOfOthers = task.foods.filter(
    ({ id }, at) => !servings.has(id) && own[at]! > COUNTS * kj,
  ).length;
  return {
    kj,
    plantKj,
    proteinG,
    fibreG,
    dryG,
    limited,
    capped: [...capped].filter(([, servings]) => servings > 0),
    foods: servings.size + eatenOfOthers,
    offered: known.filter(({ taken }) => taken > 0.25).length,
    largest: all > 0 ? Math.max(...servings.values()) / all : 0,
  };
}

function workAims(task: WeekTask, { days }: WeekOutcome): Aim[] {
  return Object.entries(task.spareMin).map(([momentId, spare]) => {
    const minutes = days.map((day) => day.workMin[momentId] ?? 0);
    const over = minutes.flatMap((one, at) => (one > spare + HALF_MIN ? [at] : []));
    // Half a minute more is no work.
    const high = over.length > 0 ? spare : Math.max(spare, ...minutes);
    return aimOf('work', null, Math.max(0, ...minutes), null, high, {
      about: momentId,
      days: over,
    });
  });
}

function aimOf(
  kind: AimKind,
  groupId: string | null,
  value: number,
  low: number | null,
  high: number | null,
  { about = '', days = [] }: Partial<Pick<Aim, 'about' | 'days'>>,
): Aim {
  const under = low === null ? 0 : (low - value) / (low || 1);
  const over = high === null ? 0 : (value - high) / (high || 1);
  const missedBy = Math.max(0, under, over);
  const met = missedBy <= NOTHING;
  return { kind, groupId, about, value, low, high, met, missedBy: met ? 0 : missedBy, days };
}

const energies = new WeakMap<WeekGroup, { foods: WeekTask['foods']; perGram: number[] }>();

/** kJ in a gram of each food of a task, the film last, for a group. Worked out once for both. */
export function energyPerGram({ foods }: Pick<WeekTask, 'foods'>, group: WeekGroup): number[] {
  const known = energies.get(group);
  if (known?.foods === foods) return known.perGram;
  const perGram = energiesOf(foods, group);
  energies.set(group, { foods, perGram });
  return perGram;
}

const energiesOf = (foods: readonly FeedFood[], group: WeekGroup): number[] =>
  [...foods, FILM_FOOD].map(
    (food) => digestibleEnergy(food.name, food.composition, group.species.guild).value,
  );
