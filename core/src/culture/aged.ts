import type { CultureKind } from '@open-larder/catalogue/cultures';
import { DENSITIES } from './estimate';
import { plateauOf, spreadSd } from './kind';
import { ageModelOf, ageModelYield, canGive, type Contents } from './models';
import type { Body, Happening, Since } from './vessel';
import { yieldShare } from './worms';

/** A kind whose age tells what it gives: less what was taken of it. */
export function aged({
  vessel: { kind, hatchShare },
  measure,
  since,
  startG,
  ageDays,
  ageOf,
  tempC,
  day,
}: Since & { ageOf: (day: string) => number; tempC: number; day: string }): Body {
  const sumOf = (kind: 'harvested' | 'added', on: (event: Happening) => boolean = () => true) =>
    since.reduce((sum, one) => sum + (one.kind === kind && on(one) ? one.massG : 0), 0);
  const { renews, isStore } = ageModelOf(kind);
  const plateau = plateauOf(kind);
  const seen = renews ? asLooked(kind, since, { ageDays, ageOf, tempC }) : unlooked(kind);
  const takenTodayG = sumOf('harvested', (event) => event.day === day);
  const takenG = renews ? takenTodayG : sumOf('harvested');
  const putG = Math.max(0, (startG ?? 0) + sumOf('added'));
  const keptG = isStore ? Math.max(0, putG - takenG) : putG;
  const contents: Contents = { measure: measure * seen.vigour, keptG, hatchShare };
  const untouched = ageModelYield(kind, { ...contents, keptG: putG }, ageDays, tempC);
  const left = isStore
    ? ageModelYield(kind, contents, ageDays, tempC)
    : Math.max(0, untouched - takenG);
  const share = yieldShare(plateau, ageDays, tempC);
  const fading = ageDays * warmer(plateau.refC, tempC) > plateau.fadeDays;
  const fullG = ageModelYield(kind, contents, bestAge(plateau, tempC), tempC);
  const leftShare = renews || isStore ? 1 : untouched > 0 ? left / untouched : takenG > 0 ? 0 : 1;
  return {
    state: share <= 0 ? (fading ? 'over' : 'building') : fading ? 'fading' : 'giving',
    standingG: left,
    lowG: left * Math.exp(-BAND * seen.sd),
    highG: left * Math.exp(BAND * seen.sd),
    fullG,
    fullness: fullG > 0 ? Math.min(1, left / fullG) : 0,
    givesG: canGive(kind, left, takenTodayG),
    lastingG: renews ? untouched : 0,
    surprised: takenG > untouched * 1.5 + 1e-9,
    estimate: { count: 0, sd: seen.sd },
    keptG,
    vigour: seen.vigour,
    leftShare,
    takenTodayG,
    fed: 1,
  };
}

/** Nine of ten lie within so many standard deviations. */
const BAND = 1.645;
/** How far a look at a box is off: of the logarithm. Assumption. */
const BOX_LOOK_SD = 0.5;
const unlooked = (kind: CultureKind) => ({ vigour: 1, sd: spreadSd(kind) });
/** A look tells of the box as it is now for so many days. Assumption. */
const LOOK_HOLDS = 30;
/** A box that gives in full looks dense; more than a third more than that none gives. Assumptions. */
const FULL_DENSITY = 0.5;
const MOST_VIGOUR = 1.3;

/** How a box does against its kind, from how dense it was seen to be. */
function asLooked(
  kind: CultureKind,
  since: readonly Happening[],
  { ageDays, ageOf, tempC }: { ageDays: number; ageOf: (day: string) => number; tempC: number },
): { vigour: number; sd: number } {
  const plateau = plateauOf(kind);
  const sd = spreadSd(kind);
  const off = since.flatMap((event) => {
    if (event.kind !== 'seen' || event.density === null) return [];
    const age = ageOf(event.day);
    const expected = yieldShare(plateau, age, tempC);
    // While nothing is to be seen yet, or any more, a look says nothing of it.
    if (ageDays - age > LOOK_HOLDS || expected < 0.1) return [];
    const looks = Math.min(MOST_VIGOUR, DENSITIES[event.density - 1]! / FULL_DENSITY);
    return [Math.log(looks / expected)];
  });
  if (off.length === 0) return unlooked(kind);
  const known = off.length * sd ** 2;
  const gain = known / (known + BOX_LOOK_SD ** 2);
  const mean = off.reduce((sum, one) => sum + one, 0) / off.length;
  return { vigour: Math.exp(gain * mean), sd: sd * Math.sqrt(1 - gain) };
}

const warmer = (refC: number, tempC: number) => 2 ** ((tempC - refC) / 10);
const bestAge = ({ fullDays, refC }: { fullDays: number; refC: number }, tempC: number) =>
  fullDays / warmer(refC, tempC);
