import type { RoundServingView, RoundStopView, RoundView } from '@open-larder/contract';
import {
  lateAdvice,
  type DayTime,
  type LateAdvice,
  type LightHours,
} from '@open-larder/core/round';
import type { AppData, Format } from '../store';

const isLit = ({ onMin, offMin }: LightHours, minutes: number) => {
  const at = ((minutes % 1440) + 1440) % 1440;
  return onMin <= offMin ? at >= onMin && at < offMin : at >= onMin || at < offMin;
};

/** The minutes of a day at which each group is fed, in order. */
export type Meals = Readonly<Record<string, readonly number[]>>;

export function mealsOf(round: RoundView): Meals {
  const meals: Record<string, number[]> = {};
  for (const { stops } of round.moments) {
    for (const { minutes, servings } of stops) {
      for (const { groupId } of servings) (meals[groupId] ??= []).push(minutes);
    }
  }
  for (const minutes of Object.values(meals)) minutes.sort((a, b) => a - b);
  return meals;
}

/** What to do about a serving of today that is late, and when its group is fed next. */
export function lateOf(
  meals: Meals,
  { tankId, minutes: plannedMin }: RoundStopView,
  { groupId, fed }: RoundServingView,
  data: AppData,
  { day, minutes: nowMin }: DayTime,
): (LateAdvice & { nextMin: number | null; lateMin: number }) | null {
  const group = data.groups.find((one) => one.id === groupId);
  const tank = data.tanks.find((one) => one.id === tankId);
  if (fed || !group || !tank) return null;
  // What was planned only today, perhaps in the afternoon, was never late in the morning.
  if (group.diet?.validFrom === day) return null;
  const nextMin = meals[groupId]?.find((minutes) => minutes > plannedMin) ?? null;
  const light = { onMin: tank.lightOnMin, offMin: tank.lightOffMin };
  const advice = lateAdvice({
    stage: group.stage,
    plannedMin,
    nowMin,
    nextMin,
    lightChanged: isLit(light, plannedMin) !== isLit(light, nowMin),
  });
  return advice && { ...advice, nextMin, lateMin: nowMin - plannedMin };
}

/** «2 h 40 min late: half of it, then as planned.» */
export function formatLate(
  { part, why, nextMin, lateMin }: NonNullable<ReturnType<typeof lateOf>>,
  format: Pick<Format, 'time'>,
): string {
  const late = `${lateMin < 60 ? '' : `${Math.floor(lateMin / 60)} h `}${Math.round(lateMin % 60)} min late`;
  const next = nextMin === null ? 'the next meal' : `the meal at ${format.time(nextMin)}`;
  if (part === 0) {
    return why === 'light'
      ? `${late}, and the light has changed: leave it out, ${next} as planned.`
      : `${late}: leave it out, ${next} as planned.`;
  }
  if (part === 0.5) return `${late}: half of it, ${next} as planned.`;
  return why === 'fry' ? `${late}: fry cannot wait, give it now.` : `${late}: still as planned.`;
}
