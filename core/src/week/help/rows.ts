import { FILM_FOOD, type FeedFood } from '../../zones';
import { CAPPED_PER_WEEK, DOMINANT, FAST_MOST, FIBRE, VARIETY } from '../aims';
import { maxOn, type ShelfFood } from '../task';
import { preparingMin, servingMin, stopMin } from '../work';
import type { Term } from './mip';
import { slack, stepTerms, usedTerms, type Writing } from './terms';
import type { Offer } from './offers';
import { FOODS_A_SLOT, INSIDE, MEAL_ROOM, SERVINGS_A_GROUP, WEIGHTS } from './weights';

/** A hard bound that a shelf or a slot sets. */
export interface Limit {
  kind: 'stock' | 'foods';
  /** A food's id, or a moment's. */
  about: string;
  row: number;
  upper: number;
}

const of = (group: number) => (offer: Offer) => offer.group === group;

/** Energy near the need on a feeding day, next to nothing on a fast, and no meal past the gut. */
export function energyRows(writing: Writing, h: number): void {
  const { mip, kinds, days, moments, task } = writing;
  const { needKj, kjPerG, grazedKj, largestG } = writing.eating[h]!;
  const kj = (offer: Offer, k: number) => offer.stepG * offer.reaches[k]![h]! * kjPerG[offer.food]!;
  const dry = (offer: Offer, k: number) =>
    offer.stepG * offer.reaches[k]![h]! * (1 - task.foods[offer.food]!.composition.moisture);
  kinds.forEach(({ rests, days: alike }, k) => {
    const perDay = alike.length / days;
    const intake = stepTerms(writing, kj, { kind: k });
    const base = grazedKj[k]!;
    if (rests[h] === 'fast') {
      const broken = slack(writing, (perDay * WEIGHTS.fast) / needKj);
      mip.row([...intake, [broken, -1]], -Infinity, Math.max(0, FAST_MOST * needKj - base));
    }
    if (rests[h] !== null) return;
    const under = slack(writing, (perDay * WEIGHTS.under) / needKj);
    const over = slack(writing, (perDay * WEIGHTS.over) / needKj);
    mip.row([...intake, [under, 1]], needKj * (1 - INSIDE) - base, Infinity);
    mip.row([...intake, [over, -1]], -Infinity, needKj * (1 + INSIDE) - base);
    moments.forEach((_, m) => {
      const here = (offer: Offer) => offer.moment === m;
      mip.row(stepTerms(writing, dry, { kind: k, which: here }), -Infinity, largestG * MEAL_ROOM);
      const ours = usedTerms(writing, { kind: k, which: (one) => here(one) && one.group === h });
      if (ours.length > SERVINGS_A_GROUP) mip.row(ours, -Infinity, SERVINGS_A_GROUP);
    });
  });
}

/** Two meals at most, or many; larvae are never left without. */
export function mealRows(writing: Writing, h: number): void {
  const { mip, kinds, days, moments, task } = writing;
  const fry = writing.eating[h]!.group.stage === 'fry';
  const two = task.feedingStyle.meals === 'two' && !fry;
  if (two && moments.length <= 2) return;
  const wanted = fry ? moments.length : Math.min(3, moments.length);
  kinds.forEach(({ rests, days: alike }, k) => {
    if (rests[h] !== null) return;
    const at = moments.map((_, m): Term => {
      const meal = mip.column({ upper: 1 });
      const ours = usedTerms(writing, {
        kind: k,
        which: (one) => one.group === h && one.moment === m,
      });
      // A moment is a meal as soon as anything is given at it, and only then.
      mip.row([...ours, [meal, -1]], 0, Infinity);
      if (two)
        for (const [used] of ours)
          mip.row(
            [
              [meal, 1],
              [used, -1],
            ],
            0,
            Infinity,
          );
      return [meal, 1];
    });
    if (two) {
      mip.row(at, -Infinity, 2);
      return;
    }
    const weight = fry ? WEIGHTS.emptyFry : WEIGHTS.meals;
    const missing = slack(writing, ((alike.length / days) * weight) / wanted, wanted);
    mip.row([...at, [missing, 1]], wanted, Infinity);
  });
}

/** Plant share of the energy, protein and fibre of the dry matter, over the whole cycle. */
export function compositionRows(writing: Writing, h: number): void {
  const { mip, kinds, task } = writing;
  const { group, needKj, kjPerG, grazedKj } = writing.eating[h]!;
  const fed = kinds.reduce((sum, kind) => sum + (kind.rests[h] === null ? kind.days.length : 0), 0);
  if (fed === 0) return;
  // What is grazed counts as film, and that is what most of it is.
  const filmKj = kinds.reduce((sum, kind, k) => sum + grazedKj[k]! * kind.days.length, 0);
  const filmG = filmKj / (kjPerG.at(-1) || 1);
  const { plantShareMin, plantShareMax, proteinMin, proteinMax, guild } = group.species;
  const energy = (food: FeedFood) =>
    food === FILM_FOOD ? kjPerG.at(-1)! : kjPerG[task.foods.indexOf(food)]!;
  const dry = (food: FeedFood) => 1 - food.composition.moisture;
  /** Low ≤ part ÷ whole ≤ high, as two rows without a quotient. */
  const band = (
    part: (food: FeedFood) => number,
    whole: (food: FeedFood) => number,
    [low, high]: readonly [number, number],
    cost: number,
  ) => {
    const past = (share: number) => (food: FeedFood) => part(food) - share * whole(food);
    const sum = (value: (food: FeedFood) => number) =>
      stepTerms(
        writing,
        (offer, k) => offer.stepG * offer.reaches[k]![h]! * value(task.foods[offer.food]!),
      );
    const short = slack(writing, cost);
    const over = slack(writing, cost);
    mip.row([...sum(past(low)), [short, 1]], -filmG * past(low)(FILM_FOOD), Infinity);
    mip.row([...sum(past(high)), [over, -1]], -Infinity, -filmG * past(high)(FILM_FOOD));
  };
  const totalKj = needKj * fed;
  const dryG = totalKj / DRY_KJ;
  const plant: readonly [number, number] = [plantShareMin, plantShareMax];
  band((food) => energy(food) * food.plantShare, energy, plant, WEIGHTS.plant / totalKj);
  band((food) => food.composition.protein, dry, [proteinMin, proteinMax], WEIGHTS.protein / dryG);
  band((food) => food.composition.fibre, dry, FIBRE[guild], WEIGHTS.fibre / dryG);
}

/** About what a gram of dry matter carries, kJ: only to weigh misses against each other. */
const DRY_KJ = 15;

/** Caps, the keeper's own limits, different foods, and none that is nearly all. */
export function varietyRows(writing: Writing, h: number): void {
  const { mip, days, offers } = writing;
  const { needKj, kjPerG, known } = writing.eating[h]!;
  const mine = of(h);
  for (const word of new Set(known.flatMap(({ capped }) => capped ?? []))) {
    const over = slack(writing, WEIGHTS.capped);
    const servings = usedTerms(writing, {
      which: (one) => mine(one) && known[one.food]!.capped === word,
    });
    const max = Math.max(1, Math.floor((CAPPED_PER_WEEK * days) / 7));
    mip.row([...servings, [over, -1]], -Infinity, max);
  }
  const foods = [...new Set(offers.filter(mine).map((offer) => offer.food))];
  const wanted = Math.min(VARIETY, foods.length);
  const missing = slack(writing, WEIGHTS.variety, wanted);
  const eaten = foods.map((food): Term => {
    const which = (one: Offer) => mine(one) && one.food === food;
    const given = usedTerms(writing, { which });
    const any = mip.column({ upper: 1 });
    mip.row([...given, [any, -1]], 0, Infinity);
    const max = offers.find(which)!.maxServings;
    if (Number.isFinite(max)) mip.row(given, -Infinity, max);
    if (foods.length > 1) {
      const total = needKj * days;
      const over = slack(writing, WEIGHTS.dominant / total);
      const kj = stepTerms(
        writing,
        (offer, k) => offer.stepG * offer.reaches[k]![h]! * kjPerG[offer.food]!,
        { which: (one) => one.food === food },
      );
      mip.row([...kj, [over, -1]], -Infinity, DOMINANT * total);
    }
    return [any, 1];
  });
  mip.row([...eaten, [missing, 1]], wanted, Infinity);
}

/** No more than the shelf holds, and what would pass its date first. */
export function shelfRows(writing: Writing): Limit[] {
  const { mip, task } = writing;
  return task.shelf.flatMap((shelf): Limit[] => {
    const food = task.foods.findIndex((one) => one.id === shelf.foodId);
    const grams = stepTerms(writing, (offer) => offer.stepG, { which: (one) => one.food === food });
    if (grams.length === 0) return [];
    const row = mip.row(grams, -Infinity, shelf.stockG);
    if (shelf.expiringG > 0) {
      const saved = mip.column({
        cost: -WEIGHTS.expiring / shelf.expiringG,
        upper: shelf.expiringG,
      });
      mip.row([...grams, [saved, -1]], 0, Infinity);
    }
    const limits: Limit[] = [{ kind: 'stock', about: shelf.foodId, row, upper: shelf.stockG }];
    return [...limits, ...liveRows(writing, food, shelf)];
  });
}

/** Of what lives, on one day no more than is given on that day, and what is in jars. */
function liveRows({ mip, kinds, ...writing }: Writing, food: number, shelf: ShelfFood): Limit[] {
  return kinds.flatMap(({ days }, kind): Limit[] => {
    const upper = maxOn(shelf, days);
    if (upper === Infinity) return [];
    const grams = stepTerms({ mip, kinds, ...writing }, (offer) => offer.stepG, {
      kind,
      which: (one) => one.food === food,
    });
    if (grams.length === 0) return [];
    return [{ kind: 'stock', about: shelf.foodId, row: mip.row(grams, -Infinity, upper), upper }];
  });
}

/** What a hand can do at one moment: so many foods, and so many minutes. */
export function slotRows(writing: Writing): Limit[] {
  const { mip, task, kinds, days, moments, offers } = writing;
  const limits: Limit[] = [];
  kinds.forEach(({ days: alike }, k) => {
    moments.forEach((moment, m) => {
      const here = (offer: Offer) => offer.moment === m;
      const inSlot = [...new Set(offers.filter(here).map((offer) => offer.food))];
      const foods = inSlot.map((food): Term => {
        const open = mip.column({ upper: 1 });
        const which = (one: Offer) => here(one) && one.food === food;
        for (const [used] of usedTerms(writing, { kind: k, which })) {
          mip.row(
            [
              [open, 1],
              [used, -1],
            ],
            0,
            Infinity,
          );
        }
        return [open, 1];
      });
      if (foods.length > FOODS_A_SLOT) {
        const row = mip.row(foods, -Infinity, FOODS_A_SLOT);
        limits.push({ kind: 'foods', about: moment.id, row, upper: FOODS_A_SLOT });
      }
      const spare = task.spareMin[moment.id];
      if (spare === undefined || foods.length === 0) return;
      const stop = mip.column({ upper: 1 });
      for (const [open] of foods)
        mip.row(
          [
            [stop, 1],
            [open, -1],
          ],
          0,
          Infinity,
        );
      const over = slack(writing, (alike.length / days) * WEIGHTS.workMin);
      const work: Term[] = offers.flatMap((offer, o): Term[] => {
        const used = writing.used[k]![o]!;
        return used < 0 || !here(offer) ? [] : [[used, servingMin(offer.like.manner)]];
      });
      // What is prepared for the moment is prepared once, whoever gets it.
      foods.forEach(([open], at) => work.push([open, preparingMin(task.foods[inSlot[at]!]!)]));
      mip.row([...work, [stop, stopMin], [over, -1]], -Infinity, spare);
    });
  });
  return limits;
}
