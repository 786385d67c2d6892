import { addDays, daysBetween } from '../round';
import type { ReachedOn } from './checkpoints';
import type { Dated } from './dates';
import type { Growing } from './growing';
import type { BroodStatus, BroodTask } from './status';
import { daysToLength } from './length';
import type { BroodTraits } from './traits';

/** Half of an adult’s length is what most are given away at. Assumption. */
const TARGET_OF_ADULT = 0.5;

/** The length at which they go, when they have it, and between which days that may be. */
export function targetOf(
  { species, targetCm: wanted }: BroodTask,
  traits: BroodTraits,
  growth: Growing,
  swim: Dated | null,
  tempC: number,
): Pick<BroodStatus, 'target' | 'targetCm' | 'targetFrom' | 'targetTo'> {
  const targetCm = wanted ?? species.adultLengthCm * TARGET_OF_ADULT;
  const reached = reachedOn(targetCm, traits, growth, swim, tempC);
  return {
    targetCm,
    target: reached?.day ?? null,
    targetFrom: reached?.from ?? null,
    targetTo: reached?.to ?? null,
  };
}

/** The day on which they are so long on average, and the days between which it may be; null if never. */
export function reachedOn(
  cm: number,
  traits: BroodTraits,
  growth: Growing,
  swim: Dated | null,
  tempC: number,
): ReachedOn | null {
  const age = daysToLength(traits, cm, tempC);
  if (swim === null || age === null) return null;
  const left = age - growth.aheadDays;
  const on = (day: number) => addDays(swim.day, Math.round(day));
  // Only the growth since their length was known is in doubt.
  const known = daysBetween(swim.day, growth.knownOn ?? swim.day);
  const { spread } = traits.growth;
  const at = (times: number) => on(known + Math.max(0, left - known) * times);
  return { day: on(left), from: at(1 / spread), to: at(spread) };
}
