import { energyPerGram } from '../aims';
import type { WeekOutcome } from '../outcome';
import type { WeekTask } from '../task';
import type { DayKind } from './kinds';
import { alike, type Offer } from './offers';
import type { Steps } from './plan';

/** By group, then kind of day: kJ that it grazes off glass and wood and what stood before. */
export function grazedOf(
  task: WeekTask,
  kinds: readonly DayKind[],
  { days }: WeekOutcome,
): number[][] {
  return task.groups.map((_, f) =>
    kinds.map((kind) => meanOf(kind.days.map((d) => days[d]!.groups[f]!.grazedKj))),
  );
}

const meanOf = (values: readonly number[]) =>
  values.reduce((sum, value) => sum + value, 0) / values.length;

/** The shares of what was given, as they were simulated: by kind of day, means over its days. */
export function corrected(
  offers: readonly Offer[],
  kinds: readonly DayKind[],
  { days }: WeekOutcome,
  offerOf: ReadonlyMap<string, number>,
): Offer[] {
  const seen = new Map<number, number[][][]>();
  kinds.forEach((kind, k) => {
    for (const d of kind.days) {
      const { drops, reaches } = days[d]!;
      drops.forEach(({ key }, at) => {
        const o = offerOf.get(key);
        if (o === undefined) return;
        const ofOffer = seen.get(o) ?? kinds.map(() => []);
        seen.set(o, ofOffer);
        ofOffer[k]!.push(reaches[at]!);
      });
    }
  });
  return offers.map((offer) => {
    // What goes into the water alike reaches everyone alike, whoever it is meant for.
    const same = [...seen].filter(([o]) => alike(offers[o]!, offer)).map(([, shares]) => shares);
    const onKind = (k: number) => same.flatMap((shares) => shares[k]!);
    const onAny = kinds.flatMap((_, k) => onKind(k));
    return {
      ...offer,
      reaches: offer.reaches.map((before, k) => {
        const known = onKind(k).length > 0 ? onKind(k) : onAny;
        return known.length === 0
          ? before
          : before.map((share, h) => (share + meanOf(known.map((shares) => shares[h]!))) / 2);
      }),
    };
  });
}

/** What was solved for against what was simulated: the worst day of a group, as a share of its need. */
export function driftOf(
  task: WeekTask,
  kinds: readonly DayKind[],
  offers: readonly Offer[],
  { days }: WeekOutcome,
  grazed: readonly (readonly number[])[],
  given: Steps,
): number {
  let worst = 0;
  task.groups.forEach((group, h) => {
    const perGram = energyPerGram(task, group);
    kinds.forEach((kind, k) => {
      const wanted = offers.reduce((sum, { food, stepG, reaches }, o) => {
        return sum + given[k]![o]! * stepG * reaches[k]![h]! * perGram[food]!;
      }, grazed[h]![k]!);
      for (const d of kind.days) {
        const { needKj, gotKj } = days[d]!.groups[h]!;
        if (needKj > 0) worst = Math.max(worst, Math.abs(gotKj - wanted) / needKj);
      }
    });
  });
  return worst;
}
