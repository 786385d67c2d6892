import type { RoundView } from '@open-larder/contract';

export type RoundMomentView = RoundView['moments'][number];

/** A moment counts as near from an hour and a half before it is due. */
const AHEAD_MIN = 90;

export const open = (moment: RoundMomentView) =>
  moment.stops.flatMap((stop) => stop.servings).filter((serving) => serving.fed === null);

/** Servings served of each food of a day, of foods of which none is open any more. */
export function servedFoods(round: RoundView): Record<string, number> {
  const served: Record<string, number> = {};
  const still = new Set<string>();
  for (const { foodId, fed } of round.moments.flatMap(({ stops }) =>
    stops.flatMap((stop) => stop.servings),
  )) {
    if (fed === null) still.add(foodId);
    else served[foodId] = (served[foodId] ?? 0) + 1;
  }
  for (const foodId of still) delete served[foodId];
  return served;
}

const firstMinute = (moment: RoundMomentView) =>
  Math.min(...moment.stops.map((stop) => stop.minutes));

/** Whether a moment is due or near: on another day it is what was, or will be, then. */
export const isNear = (moment: RoundMomentView, minutes: number | null): boolean =>
  minutes === null || firstMinute(moment) <= minutes + AHEAD_MIN;

/**
 * The moment a keeper most likely stands in: the latest that is due or near. Where that is done,
 * the next one. On another day, the first that is open.
 * @param minutes of the household's day; null for another day
 */
export function momentNow(round: RoundView, minutes: number | null): RoundMomentView | null {
  const { moments } = round;
  if (minutes === null) return moments.find((one) => open(one).length > 0) ?? moments[0] ?? null;
  const near = moments.findLastIndex((one) => isNear(one, minutes));
  const from = Math.max(0, near);
  const next = moments.slice(from).find((one) => open(one).length > 0);
  return next ?? moments[from] ?? null;
}

/** The next moment at which something waits at a tank; null where nothing does. */
export const momentAt = (round: RoundView, tankId: string | null): RoundMomentView | null =>
  round.moments.find(({ stops }) =>
    stops.some((stop) => stop.tankId === tankId && stop.servings.some(({ fed }) => fed === null)),
  ) ?? null;

/** Moments before the one looked at whose time has passed and that nobody has logged in full. */
export function missed(round: RoundView, current: RoundMomentView, minutes: number) {
  return round.moments
    .slice(0, round.moments.indexOf(current))
    .filter((moment) => firstMinute(moment) < minutes && open(moment).length > 0);
}
