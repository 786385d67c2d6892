import { byAge } from './byAge';
import { DENSITIES } from './estimate';
import { CYSTS_PER_G, HATCH_SHARE } from './hatch';
import { gramsOfOne, plateauOf } from './kind';
import type { Body, Happening, Since } from './vessel';
import { yieldShare, type Plateau } from './worms';

/** A kind whose age tells what it gives: less what was taken of it. */
export function aged({
  vessel: { kind, hatchShare = HATCH_SHARE },
  measure,
  since,
  startG,
  ageDays,
  ageOf,
  tempC,
  day,
}: Since & { ageOf: (day: string) => number; tempC: number; day: string }): Body {
  const taken = (on: (event: Happening) => boolean) =>
    since.reduce(
      (sum, event) => sum + (event.kind === 'harvested' && on(event) ? event.massG : 0),
      0,
    );
  const put = startG ?? 0;
  const added = since.reduce((sum, one) => sum + (one.kind === 'added' ? one.massG : 0), 0);
  const kept = Math.max(0, put + added);
  const hatch = kind.model === 'hatch' && startG !== null;
  const size = hatch ? startG * CYSTS_PER_G * hatchShare * gramsOfOne(kind) : null;
  const plateau = plateauOf(kind);
  const share = yieldShare(plateau, ageDays, tempC);
  // Bread rises again overnight; what is a batch, a hatch or only kept is less for good.
  const renews = kind.model === 'plateau' || kind.model === 'generations' || kind.model === 'film';
  const seen = renews ? asLooked(plateau, since, { ageDays, ageOf, tempC }) : UNLOOKED;
  const does = measure * seen.vigour;
  const whole = byAge(kind, { measure: does, keptG: kept }, ageDays, tempC);
  const full = size === null ? whole : { standingG: size * share, givesG: size * share };
  const took = taken(renews ? (event) => event.day === day : () => true);
  const left = Math.max(0, full.standingG - took);
  const fading = ageDays * warmer(plateau.refC, tempC) > plateau.fadeDays;
  const best = byAge(
    kind,
    { measure: does, keptG: kept },
    bestAge(plateau, tempC),
    tempC,
  ).standingG;
  return {
    state: share <= 0 ? (fading ? 'over' : 'building') : fading ? 'fading' : 'giving',
    standingG: left,
    lowG: left * Math.exp(-BAND * seen.sd),
    highG: left * Math.exp(BAND * seen.sd),
    fullG: size ?? best,
    fullness: (size ?? best) > 0 ? Math.min(1, left / (size ?? best)) : 0,
    givesG: Math.min(left, Math.max(0, full.givesG - taken((event) => event.day === day))),
    lastingG: renews ? full.givesG : 0,
    surprised: took > full.standingG * 1.5 + 1e-9,
    estimate: { count: 0, sd: 0 },
    keptG: kind.model === 'kept' ? Math.max(0, kept - taken(() => true)) : kept,
    vigour: seen.vigour,
    leftShare:
      renews || kind.model === 'kept'
        ? 1
        : full.standingG > 0
          ? left / full.standingG
          : took > 0
            ? 0
            : 1,
  };
}

/** Nine of ten lie within so many standard deviations. */
const BAND = 1.645;
/** How far one box is off from the next, and a look at it: of the logarithm. Assumptions. */
const BOX_SD = 0.4;
const BOX_LOOK_SD = 0.5;
const UNLOOKED = { vigour: 1, sd: BOX_SD };
/** A look tells of the box as it is now for so many days. Assumption. */
const LOOK_HOLDS = 30;
/** A box that gives in full looks dense; more than a third more than that none gives. Assumptions. */
const FULL_DENSITY = 0.5;
const MOST_VIGOUR = 1.3;

/** How a box does against its kind, from how dense it was seen to be. */
function asLooked(
  plateau: Plateau,
  since: readonly Happening[],
  { ageDays, ageOf, tempC }: { ageDays: number; ageOf: (day: string) => number; tempC: number },
): { vigour: number; sd: number } {
  const off = since.flatMap((event) => {
    if (event.kind !== 'seen' || event.density === null) return [];
    const age = ageOf(event.day);
    const expected = yieldShare(plateau, age, tempC);
    // While nothing is to be seen yet, or any more, a look says nothing of it.
    if (ageDays - age > LOOK_HOLDS || expected < 0.1) return [];
    const looks = Math.min(MOST_VIGOUR, DENSITIES[event.density - 1]! / FULL_DENSITY);
    return [Math.log(looks / expected)];
  });
  if (off.length === 0) return UNLOOKED;
  const known = off.length * BOX_SD ** 2;
  const gain = known / (known + BOX_LOOK_SD ** 2);
  const mean = off.reduce((sum, one) => sum + one, 0) / off.length;
  return { vigour: Math.exp(gain * mean), sd: BOX_SD * Math.sqrt(1 - gain) };
}

const warmer = (refC: number, tempC: number) => 2 ** ((tempC - refC) / 10);
const bestAge = ({ fullDays, refC }: { fullDays: number; refC: number }, tempC: number) =>
  fullDays / warmer(refC, tempC);
