import { hoursOfLight, wallMinutes, type LightHours, type Moment } from '../round';

/** A meal is given so long before the light goes out, so that it is eaten in the light. Practice. */
const BEFORE_OUT: Omit<Moment, 'id'> = {
  name: 'Before lights-out',
  anchor: 'lightsOff',
  minutes: -60,
};
/** Fish are awake so long after the light came on. Practice. */
const AFTER_ON: Omit<Moment, 'id'> = { name: 'After lights-on', anchor: 'lightsOn', minutes: 60 };
/** Two meals in the light are at least so far apart, minutes. Practice. */
const APART_MIN = 90;
const DAY_MIN = 1440;

/** Whether a tank is lit at a time of its day, which may be past midnight. */
export function isLit(atMin: number, { onMin, offMin }: LightHours): boolean {
  const since = (((atMin - onMin) % DAY_MIN) + DAY_MIN) % DAY_MIN;
  return since < hoursOfLight({ onMin, offMin }) * 60;
}

/**
 * Moments that a house would need for two meals a day while a tank is lit: none where it has them, and
 * where the tank has no light. The evening comes first, when most keepers are at home.
 */
export function momentsToAdd(
  moments: readonly Moment[],
  light: LightHours,
): readonly Omit<Moment, 'id'>[] {
  const lit = moments.map((one) => wallMinutes(one, light)).filter((atMin) => isLit(atMin, light));
  const twice = lit.some((one) => lit.some((other) => other - one >= APART_MIN));
  if (twice) return [];
  const added: Omit<Moment, 'id'>[] = [];
  for (const moment of [BEFORE_OUT, AFTER_ON]) {
    const atMin = wallMinutes({ id: '', ...moment }, light);
    const apart = lit.every((one) => Math.abs(one - atMin) >= APART_MIN);
    if (lit.length >= 2 || !apart || !isLit(atMin, light)) continue;
    added.push(moment);
    lit.push(atMin);
  }
  return added;
}
