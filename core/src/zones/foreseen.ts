import { chanceOf } from '../chance';
import { bandAround, type Foreseen } from '../forecasts';
import type { Belly } from '../ration';
import { bandOf, jittered } from './band';
import type { Feeding } from './feeding';
import { aboutOf, BELLY_SD, BELLY_SHARE, fedUp, shownBy, type Sighting } from './learn';
import { energiesOf, shareOfNeed } from './report';
import { settled } from './settled';
import { simulate } from './simulate';

/** What a keeper should see of a meal, before anything of it is seen. */
export interface MealForeseen {
  /** Minutes until what is looked at is gone. */
  clearedMin: Foreseen;
  /** Share of it that is left when it is lifted, 0..1. */
  left: Foreseen;
}

/** A band needs no finer steps. */
const STEP_SCALE = 3.5;
const LOOKS_EVERY_S = 20;

/**
 * A meal as it is expected, with the band that its uncertain traits make.
 * @param runs at least 20, for a band of nine in ten
 * @param seed the same seed gives the same answer
 */
export function foreseeMeal(
  sighting: Pick<Sighting, 'feeding' | 'about'>,
  runs: number,
  seed: number,
): MealForeseen {
  const chance = chanceOf(seed);
  const usual = settled(sighting.feeding);
  const about = aboutOf(sighting);
  const cleared: number[] = [];
  const left: number[] = [];
  for (let run = 0; run < runs; run += 1) {
    const model = jittered(usual, sighting.feeding, chance);
    const outcome = simulate(model, { stepScale: STEP_SCALE, everyS: LOOKS_EVERY_S });
    const shown = shownBy(model, outcome, about);
    cleared.push(shown.clearedMin);
    left.push(shown.left);
  }
  return { clearedMin: bandOf(cleared), left: bandOf(left) };
}

/** How far what reaches a group is off by its traits alone, of the logarithm. Assumption. */
const REACHES_SD = 0.35;

/**
 * The belly that a group should show on a planned day, 1 sunken to 5 bloated, with its band.
 * @returns null for a group that is not fed that day
 */
export function foreseeBelly(feeding: Feeding, groupId: string): Foreseen | null {
  const at = feeding.groups.findIndex(({ id }) => id === groupId);
  if (at < 0 || feeding.drops.length === 0) return null;
  const asked = { ...feeding, groups: feeding.groups.map((group) => ({ ...group, belly: null })) };
  const model = settled(asked);
  const outcome = simulate(model, { stepScale: STEP_SCALE });
  const ofNeed = shareOfNeed(model, outcome, energiesOf(asked, model)[at]!, at);
  const share = (fedUp(feeding.groups[at]!) * ofNeed) / 100;
  const { low, middle, high } = bandAround(share, Math.hypot(REACHES_SD, BELLY_SD.one));
  return { low: bellyOf(low), middle: bellyOf(middle), high: bellyOf(high) };
}

const SCORES = [1, 2, 3, 4, 5] as const satisfies readonly Belly[];

/** Between the scores that shares of the need speak of. */
function bellyOf(share: number): number {
  const [min, max] = [BELLY_SHARE[1], BELLY_SHARE[5]];
  const within = Math.min(max, Math.max(min, share));
  const above = SCORES.find((score) => BELLY_SHARE[score] >= within)!;
  if (above === 1) return 1;
  const below = (above - 1) as Belly;
  const [from, to] = [Math.log(BELLY_SHARE[below]), Math.log(BELLY_SHARE[above])];
  return below + (Math.log(within) - from) / (to - from);
}
