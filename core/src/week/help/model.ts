import { largestMeal } from '../../ration';
import { compileGroupDay } from '../../round';
import { energyPerGram, foodsFor } from '../aims';
import { cycleOf, tankOf, type WeekTask } from '../task';
import type { DayKind } from './kinds';
import { Mip } from './mip';
import { momentsOf, type Offer } from './offers';
import {
  compositionRows,
  energyRows,
  mealRows,
  shelfRows,
  slotRows,
  varietyRows,
  type Limit,
} from './rows';
import type { Writing } from './terms';
import { WEIGHTS } from './weights';

/** A task as a programme, and where its servings stand in it. */
export interface BalanceModel {
  mip: Mip;
  offers: readonly Offer[];
  kinds: readonly DayKind[];
  /** By kind of day, then offer: the column of its steps; -1 where the group rests. */
  steps: number[][];
  /** Rows that a shelf, a slot or a clock sets, to say what limits a plan. */
  limits: Limit[];
}

/** What of the present plan is kept where nothing speaks against it: by day, «group food moment». */
export type Kept = readonly ReadonlySet<string>[];

export const offerKey = (groupId: string, foodId: string, momentId: string) =>
  `${groupId} ${foodId} ${momentId}`;

/**
 * Write a task down as a programme.
 * @param offers what could be given, with the shares that reach each group
 * @param grazed by group, then kind of day: kJ that it grazes off glass and wood, and what stood before
 */
export function modelOf(
  task: WeekTask,
  kinds: readonly DayKind[],
  offers: readonly Offer[],
  grazed: readonly (readonly number[])[],
  kept: Kept,
): BalanceModel {
  const tank = tankOf(task);
  const foods = new Map(task.house.foods.map((food) => [food.id, food]));
  const writing: Writing = {
    task,
    mip: new Mip(),
    days: cycleOf(task),
    kinds,
    moments: momentsOf(task),
    offers,
    eating: task.groups.map((group, h) => {
      const row = task.house.groups.find((one) => one.id === group.id)!;
      return {
        group,
        needKj: compileGroupDay(row, tank, foods, task.first).needKj.value,
        kjPerG: energyPerGram(task, group),
        grazedKj: grazed[h]!,
        largestG: largestMeal({ ...group, tempC: task.tank.tempC }).value,
        known: foodsFor(task, group),
      };
    }),
    steps: [],
    used: [],
  };
  servingColumns(writing, kept);
  writing.eating.forEach(({ needKj }, h) => {
    if (needKj <= 0) return;
    energyRows(writing, h);
    mealRows(writing, h);
    compositionRows(writing, h);
    varietyRows(writing, h);
  });
  const limits = [...shelfRows(writing), ...slotRows(writing)];
  return { mip: writing.mip, offers, kinds, steps: writing.steps, limits };
}

/** How much of each offer is given on each kind of day, and whether any. */
function servingColumns(writing: Writing, kept: Kept): void {
  const { task, mip, days, kinds, moments, offers, eating } = writing;
  const prices = new Map(task.shelf.map((food) => [food.foodId, food.pricePerG ?? 0]));
  const needs = eating.reduce((sum, { needKj }) => sum + needKj, 0) || 1;
  // What a day of this tank costs at the mean price of a kJ: money is weighed against that.
  const priceOfKj = ({ group, food }: Offer) =>
    (prices.get(task.foods[food]!.id) ?? 0) / (eating[group]!.kjPerG[food]! || 1);
  const usual =
    (needs * offers.reduce((sum, offer) => sum + priceOfKj(offer), 0)) / Math.max(1, offers.length);
  kinds.forEach((kind, k) => {
    const perDay = kind.days.length / days;
    const steps = offers.map(() => -1);
    const used = offers.map(() => -1);
    offers.forEach((offer, o) => {
      if (kind.rests[offer.group] !== null) return;
      const food = task.foods[offer.food]!;
      const reached = offer.reaches[k]!.reduce((sum, share) => sum + share, 0);
      const lostKj =
        offer.stepG * eating[offer.group]!.kjPerG[offer.food]! * Math.max(0, 1 - reached);
      const price = offer.stepG * (prices.get(food.id) ?? 0);
      const x = mip.column({
        whole: true,
        upper: offer.maxSteps,
        cost:
          perDay *
          ((WEIGHTS.waste * lostKj) / needs + (usual > 0 ? (WEIGHTS.cost * price) / usual : 0)),
      });
      const key = offerKey(eating[offer.group]!.group.id, food.id, moments[offer.moment]!.id);
      const had = kind.days.filter((day) => kept[day]!.has(key)).length / kind.days.length;
      const y = mip.column({
        whole: true,
        upper: 1,
        cost: perDay * (WEIGHTS.serving - had * WEIGHTS.kept),
      });
      mip.row(
        [
          [x, 1],
          [y, -offer.maxSteps],
        ],
        -Infinity,
        0,
      );
      mip.row(
        [
          [x, 1],
          [y, -1],
        ],
        0,
        Infinity,
      );
      steps[o] = x;
      used[o] = y;
    });
    writing.steps.push(steps);
    writing.used.push(used);
  });
}
