import type { Guild } from '@open-larder/catalogue';
import { sum } from 'd3-array';
import { eatsNothing, mayNotFast, type Stage } from '../fish';
import { isLitter } from '../food';
import { formOf } from '../mouth';
import { PLAIN, type DietServing } from '../round';
import type { FeedFood } from '../zones';
import { energyPerGram, foodsFor } from './aims';
import { momentsOf } from './help/offers';
import { isLit } from './litMoments';
import { dailyNeed } from '../ration';
import { choicesOf, usualFeedingStyle, type FeedingStyle } from './feedingStyle';
import { suitability } from './suitability';
import { tankOf, type WeekGroup, type WeekTask } from './task';

/** What a food is for in a diet. */
export type Role = 'staple' | 'animal' | 'plant' | 'treat';

/** One line of a starting plan: a role, when, on which days, and how much of the day. */
export interface StartingLine {
  role: Role;
  /** By the tank's light: early, at noon, late, or after it is out. */
  when: 'early' | 'noon' | 'late' | 'dark';
  /** ISO weekdays. */
  days: readonly number[];
  /** Part of the day against the other lines. */
  weight: number;
}

const EVERY_DAY = [1, 2, 3, 4, 5, 6, 7];
const ODD = [1, 3, 5];
const EVEN = [2, 4, 6];
const TWICE = [3, 6];

const GRAZES: ReadonlySet<Guild> = new Set(['plant grazer', 'film scraper', 'detritus feeder']);
const HUNTS: ReadonlySet<Guild> = new Set(['predator', 'invertebrate picker']);

/**
 * A starting plan for a guild at a stage, by a feeding style. It names roles and parts of the day, so that
 * it fits any group: foods, moments and amounts follow from the group. Assumptions: what keepers of
 * the guild usually do.
 * @param dark whether the group feeds after the light is out
 */
export function startingPlan(
  guild: Guild,
  stage: Stage,
  feedingStyle: Pick<FeedingStyle, 'meals' | 'staple'>,
  dark: boolean,
): StartingLine[] {
  if (eatsNothing(stage)) return [];
  const late = dark ? 'dark' : 'late';
  const line = (
    role: Role,
    when: StartingLine['when'],
    days: readonly number[] = EVERY_DAY,
    weight = 1,
  ): StartingLine => ({ role, when, days, weight });
  const base: Role =
    feedingStyle.staple === 'fresh' ? (GRAZES.has(guild) ? 'plant' : 'animal') : 'staple';
  if (mayNotFast(stage)) {
    return [
      line(base, 'early'),
      line('animal', 'noon'),
      line(base, 'late'),
      line('animal', 'dark', EVERY_DAY, 0.5),
    ];
  }
  const richer = stage === 'conditioning' || stage === 'juvenile';
  const lines = GRAZES.has(guild)
    ? [line('plant', 'early'), line(base, late), line('animal', late, TWICE, 0.4)]
    : HUNTS.has(guild)
      ? [line(base, 'early'), line('animal', late, [...ODD, 7]), line(base, late, EVEN)]
      : [
          line(base, 'early'),
          line('animal', late, ODD),
          line('plant', late, EVEN),
          line(base, late, [7]),
        ];
  if (richer) lines.push(line('treat', late, GRAZES.has(guild) ? TWICE : ODD, 0.5));
  if (feedingStyle.meals === 'many') lines.push(line(base, 'noon', EVERY_DAY, 0.7));
  return lines;
}

/**
 * The usual plan of a group’s own kind, laid into its tank.
 * @param chosen how the tank is fed, where its keeper said so; else what suits this kind
 * @returns servings whose amounts are computed; null for a stage that is not fed
 */
export function usualServings(
  task: WeekTask,
  group: WeekGroup,
  chosen: Pick<FeedingStyle, 'meals' | 'staple'> | null,
  newId: () => string,
): DietServing[] | null {
  const needKj = dailyNeed({ ...group, tempC: task.tank.tempC }).value;
  const feedingStyle = chosen ?? choicesOf(usualFeedingStyle([{ ...group, needKj }]));
  const { species, stage } = group;
  const lines = startingPlan(species.guild, stage, feedingStyle, feedsInTheDark(group));
  return lines.length === 0 ? null : laidOut(task, group, lines, newId);
}

/** From here on a food suits a role. Assumption. */
const SUITS = 0.25;
/** What was given already counts for so much less, so that a week is varied. Assumption. */
const AGAIN = 0.7;

/** Plant share from which a food stands for plants. Assumption. */
const PLANT = 0.5;

const IS: Record<Role, (food: FeedFood, capped: boolean) => boolean> = {
  staple: (food) => food.kind === 'dry' || food.kind === 'gel' || food.kind === 'mix',
  animal: (food, capped) => !capped && food.plantShare < PLANT && food.kind !== 'dry',
  plant: (food) => food.plantShare >= PLANT,
  treat: (food) => food.kind === 'live' || food.kind === 'frozen',
};

/**
 * A starting plan laid into a tank for one of its groups: each role is filled with the food of the
 * shelf that fits and is taken best, each time with the nearest moment: of those in the light for what is
 * given by day.
 * @param lines of a week; a longer or shorter cycle is laid from it
 * @returns servings whose amounts are computed; empty where nothing on the shelf fits
 */
export function laidOut(
  task: WeekTask,
  group: WeekGroup,
  lines: readonly StartingLine[],
  newId: () => string,
): DietServing[] {
  const moments = momentsOf(task);
  if (moments.length === 0) return [];
  const cycle = tankOf(task).plan.cycle.days;
  const shelf = new Map(task.shelf.map((one) => [one.foodId, one]));
  const edible = foodsFor(task, group)
    .flatMap(({ food, taken, capped }) => {
      const there = shelf.get(food.id);
      if (taken < 0.25 || isLitter(food) || !there || there.stockG <= 0) return [];
      const soaked = isSoaked(task, group, food);
      const suits = suitability(group, food, taken, { expiring: there.expiringG > 0, soaked });
      return suits > 0 ? [{ food, suits, capped: capped !== null }] : [];
    })
    .sort((a, b) => b.suits - a.suits || (a.food.name < b.food.name ? -1 : 1));
  const servings: DietServing[] = [];
  const needKj = dailyNeed({ ...group, tempC: task.tank.tempC }).value;
  let pieces = 0;
  for (const line of lines) {
    // A role for which nothing suits is filled with what suits best; what was given already comes later.
    const given = ({ food }: (typeof edible)[number]) =>
      line.role !== 'staple' && servings.some(({ foodId }) => foodId === food.id) ? AGAIN : 1;
    const best = (of: typeof edible) =>
      of.reduce<(typeof edible)[number] | null>(
        (a, b) => (a === null || b.suits * given(b) > a.suits * given(a) ? b : a),
        null,
      );
    const inRole = edible.filter(
      ({ food, capped, suits }) => suits >= SUITS && IS[line.role](food, capped),
    );
    const found = best(inRole) ?? best(edible);
    if (!found) return [];
    const wantedMin = minutesOf(task, line.when);
    const lit = moments.filter(({ atMin }) => isLit(atMin, task.tank.light));
    const near = line.when === 'dark' || lit.length === 0 ? moments : lit;
    const moment = near.reduce((a, b) =>
      Math.abs(b.atMin - wantedMin) < Math.abs(a.atMin - wantedMin) ? b : a,
    );
    const fed = Array.from({ length: cycle }, (_, at) => at + 1).filter((day) =>
      line.days.includes(((day - 1) % 7) + 1),
    );
    const wanted = needKj * partOf(line, lines);
    const least = wholePiece(task, group, found.food, wanted);
    // The second such line of a plan falls between the days of the first.
    const days = least
      ? fed.filter((_, at) => at % least.every === (pieces * Math.floor(least.every / 2)) % least.every) // prettier-ignore
      : fed;
    if (least) pieces += 1;
    if (days.length === 0) continue;
    const same = servings.findIndex(
      (one) => one.foodId === found.food.id && one.momentId === moment.id,
    );
    if (same >= 0) {
      const before = servings[same]!;
      servings[same] = {
        ...before,
        days: [...new Set([...before.days, ...days])].sort((a, b) => a - b),
      };
      continue;
    }
    servings.push({
      id: newId(),
      foodId: found.food.id,
      momentId: moment.id,
      zone: group.species.zone,
      place: '',
      days,
      weight: line.weight,
      ownUnits: least?.units ?? null,
      manner: { ...PLAIN, soaked: isSoaked(task, group, found.food) },
    });
  }
  return servings;
}

/** Whether a food that floats is soaked first, by how the tank is fed, for who feeds below the surface. */
const isSoaked = ({ feedingStyle }: WeekTask, { species }: WeekGroup, food: FeedFood): boolean =>
  food.kind === 'dry' &&
  food.form !== 'sinks' &&
  species.zone !== 'surface' &&
  feedingStyle.soak === 'soaked';

/** Part of its days' need that a line carries. */
const partOf = ({ days, weight }: StartingLine, lines: readonly StartingLine[]): number =>
  Math.min(
    ...days.map((day) => weight / sum(lines, (one) => (one.days.includes(day) ? one.weight : 0))),
  );

/** Less than this part of the smallest piece is given as that piece, on fewer days. Assumption. */
const A_PIECE = 0.75;

/**
 * A wafer or tablet lies for hours, and who feeds on the ground comes to it: where the smallest piece of it is
 * more than they need at once it is given whole on fewer days, and not crumbled.
 * @param wantedKj that it should carry on a day
 * @returns units to give, and on every which day; null where it is given as it is needed
 */
function wholePiece(task: WeekTask, group: WeekGroup, food: FeedFood, wantedKj: number) {
  const { zone } = group.species;
  if (!isDisc(food) || (zone !== 'bottom' && zone !== 'film') || mayNotFast(group.stage))
    return null;
  const unit = task.house.foods.find(({ id }) => id === food.id)?.unit;
  const perGram = energyPerGram(task, group)[task.foods.indexOf(food)] ?? 0;
  if (!unit || perGram <= 0) return null;
  const pieceKj = unit.step * unit.massG * perGram;
  if (wantedKj >= A_PIECE * pieceKj) return null;
  return { units: unit.step, every: Math.min(7, Math.max(2, Math.round(pieceKj / wantedKj))) };
}

/** A wafer or a tablet. */
export const isDisc = (food: FeedFood): boolean =>
  food.kind === 'dry' && formOf({ ...food, ...food.inWater }) === 'disc';

/**
 * The foods of a task by how well they suit a group, the best first.
 * @returns suits 0..1 or a little above; «well» from where a starting plan would choose it
 */
export function foodsByFit(
  task: WeekTask,
  group: WeekGroup,
): { foodId: string; suits: number; well: boolean }[] {
  return foodsFor(task, group)
    .map(({ food, taken }) => {
      const soaked = isSoaked(task, group, food);
      const suits = suitability(group, food, taken, { expiring: false, soaked });
      return { foodId: food.id, suits, well: suits >= SUITS };
    })
    .sort((a, b) => b.suits - a.suits);
}

/**
 * Whether any of what a plan gives suits its group well: what it is given otherwise is the best of a bad
 * shelf, and its keeper should know.
 */
export function suitsWell(
  task: WeekTask,
  group: WeekGroup,
  servings: readonly Pick<DietServing, 'foodId'>[],
): boolean {
  return foodsByFit(task, group).some(
    ({ foodId, well }) => well && servings.some((serving) => serving.foodId === foodId),
  );
}

/** A time of the tank's own day, minutes after midnight. */
function minutesOf(task: WeekTask, when: StartingLine['when']): number {
  const { onMin, offMin } = task.tank.light;
  const off = offMin <= onMin ? offMin + 1440 : offMin;
  switch (when) {
    case 'early':
      return onMin + 60;
    case 'noon':
      return (onMin + off) / 2;
    case 'late':
      return off - 120;
    case 'dark':
      return off + 30;
  }
}

/** Whether a species feeds more in the dark than by day. */
export const feedsInTheDark = (group: WeekGroup): boolean =>
  group.species.activityByLight.night > group.species.activityByLight.day;
