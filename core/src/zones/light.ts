import type { LightHours } from '../round';

/** How far a minute of the day is day, dusk and night: three shares that add up to 1. */
export interface Phase {
  day: number;
  dusk: number;
  night: number;
}

/** Minutes on the dark side of a change of the lights in which it is dusk. Assumption: eyes adapt slowly. */
const DUSK_MIN = 30;
/** Minutes in which one phase passes into the next, so that nothing happens at a stroke. */
const RAMP_MIN = 10;
/** By the clock, when an unlit tank stands in the daylight of its room. Assumption. */
const ROOM_LIGHT: LightHours = { onMin: 7 * 60, offMin: 19 * 60 };
const DAY_MIN = 1440;

/**
 * The light at a tank: day while it is lit, dusk shortly before and after and while its room is
 * light, night otherwise.
 * @param minutes after midnight, negative or past 1440 for the days before and after
 */
export function phaseAt(light: LightHours, minutes: number): Phase {
  const day = Math.min(1, Math.max(0, insideBy(light, minutes) / RAMP_MIN));
  const nearly = Math.max(
    insideBy(light, minutes) + DUSK_MIN + RAMP_MIN,
    insideBy(ROOM_LIGHT, minutes),
  );
  const dusk = Math.min(1 - day, Math.max(0, nearly / RAMP_MIN));
  return { day, dusk, night: 1 - day - dusk };
}

/** Minutes to the nearer change of the lights: more than 0 while they are on, less while off. */
function insideBy({ onMin, offMin }: LightHours, minutes: number): number {
  const lit = wrap(offMin - onMin);
  if (lit === 0) return -DAY_MIN;
  const since = wrap(minutes - onMin);
  return since < lit ? Math.min(since, lit - since) : -Math.min(since - lit, DAY_MIN - since);
}

const wrap = (minutes: number) => ((minutes % DAY_MIN) + DAY_MIN) % DAY_MIN;
