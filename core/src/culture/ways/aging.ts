import type { CultureKind } from '@open-larder/catalogue/cultures';
import { DENSITIES } from '../estimate';
import { crashHazard } from '../hazard';
import { plateauOf, spreadSd, type Growing } from '../kind';
import { commonTasks, nextTask } from '../tasks';
import type {
  VesselContents,
  Contents,
  CultureDay,
  VesselEvent,
  EventsSinceStart,
  ForecastStart,
} from '../types';
import { yieldShare } from '../worms';
import type { Way } from './way';

/** What a kind gives whose age shows it. */
export interface ByAge {
  /** What was taken is there again the next day. Other kinds are less for good. */
  renews: boolean;
  /** What is only kept: less by what was taken, whatever its age. */
  isStore: boolean;
  /** Of what is in it, so much can be drawn in a day. */
  drawn: number;
  /** Grams in it at its best. */
  fullG: (kind: Growing, contents: Contents) => number;
}

/** Nine of ten lie within so many standard deviations. */
const BAND = 1.645;
/** How far a look at a box is off: of the logarithm. Assumption. */
const BOX_LOOK_SD = 0.5;
const unlooked = (kind: CultureKind) => ({ vigour: 1, sd: spreadSd(kind) });
/** A look shows of the box as it is now for so many days. Assumption. */
const LOOK_HOLDS = 30;
/** A box that gives in full looks dense; more than a third more than that none gives. Assumptions. */
const FULL_DENSITY = 0.5;
const MAX_VIGOUR = 1.3;

/** How a box does against its kind, from how dense it was seen to be. */
function asLooked(
  kind: CultureKind,
  since: readonly VesselEvent[],
  { ageDays, ageOf, tempC }: Pick<EventsSinceStart, 'ageDays' | 'ageOf'> & { tempC: number },
): { vigour: number; sd: number } {
  const plateau = plateauOf(kind);
  const sd = spreadSd(kind);
  const off = since.flatMap((event) => {
    if (event.kind !== 'seen' || event.density === null) return [];
    const age = ageOf(event.day);
    const expected = yieldShare(plateau, age, tempC);
    // While nothing is to be seen yet, or any more, a look says nothing of it.
    if (ageDays - age > LOOK_HOLDS || expected < 0.1) return [];
    const looks = Math.min(MAX_VIGOUR, DENSITIES[event.density - 1]! / FULL_DENSITY);
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

/** Its luck is not its crowding: a half-full vessel’s. Its chance of a crash grows with its age. */
const strain: Way['strain'] = (kind) => ({ crowding: 0.5, tiredDays: kind.overDays });

function leadDays(kind: Growing, _measure: number, tempC: number): number {
  const plateau = plateauOf(kind);
  for (let day = 0; day < 366; day += 1) {
    if (yieldShare(plateau, day, tempC) > IN_EARNEST) return day;
  }
  return 366;
}
const IN_EARNEST = 0.5;

/** A way to grow of which the age of a vessel shows what it gives. */
export function aging({ renews, isStore, drawn, fullG }: ByAge): Way {
  /** Grams in a vessel at an age, before anything is taken that day. */
  const yieldG = (kind: Growing, contents: Contents, ageDays: number, tempC: number) =>
    (contents.leftShare ?? 1) * fullG(kind, contents) * yieldShare(plateauOf(kind), ageDays, tempC);

  /** Grams that can still be taken on a day. */
  const canGive = (leftG: number, takenG: number) =>
    Math.min(leftG, Math.max(0, drawn * (leftG + takenG) - takenG));

  function status({
    vessel: { kind, hatchShare },
    measure,
    since,
    startG,
    ageDays,
    ageOf,
    tempOn,
    day,
  }: EventsSinceStart): VesselContents {
    const tempC = tempOn(ageDays);
    const sumOf = (kind: 'harvested' | 'added', on: (event: VesselEvent) => boolean = () => true) =>
      since.reduce((sum, one) => sum + (one.kind === kind && on(one) ? one.massG : 0), 0);
    const plateau = plateauOf(kind);
    const seen = renews ? asLooked(kind, since, { ageDays, ageOf, tempC }) : unlooked(kind);
    const takenTodayG = sumOf('harvested', (event) => event.day === day);
    const takenG = renews ? takenTodayG : sumOf('harvested');
    const putG = Math.max(0, (startG ?? 0) + sumOf('added'));
    const keptG = isStore ? Math.max(0, putG - takenG) : putG;
    const contents: Contents = { measure: measure * seen.vigour, keptG, hatchShare };
    const untouched = yieldG(kind, { ...contents, keptG: putG }, ageDays, tempC);
    const left = isStore ? yieldG(kind, contents, ageDays, tempC) : Math.max(0, untouched - takenG);
    const share = yieldShare(plateau, ageDays, tempC);
    const fading = ageDays * warmer(plateau.refC, tempC) > plateau.fadeDays;
    const bestG = yieldG(kind, contents, bestAge(plateau, tempC), tempC);
    const leftShare = renews || isStore ? 1 : untouched > 0 ? left / untouched : takenG > 0 ? 0 : 1;
    return {
      state: share <= 0 ? (fading ? 'over' : 'building') : fading ? 'fading' : 'giving',
      contentG: left,
      lowG: left * Math.exp(-BAND * seen.sd),
      highG: left * Math.exp(BAND * seen.sd),
      fullG: bestG,
      fullness: bestG > 0 ? Math.min(1, left / bestG) : 0,
      givesG: canGive(left, takenTodayG),
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

  function dayOf(vessel: ForecastStart, day: number, tempC: number): CultureDay {
    const { kind, ageDays, estimate, takenTodayG = 0 } = vessel;
    const takenG = day === 0 ? takenTodayG : 0;
    const wholeG = yieldG(kind, vessel, ageDays + day, tempC);
    // What renews is whole again but for today; of other kinds the contents are less what was taken.
    const leftG = renews ? Math.max(0, wholeG - takenG) : wholeG;
    const wide = BAND * estimate.sd;
    return {
      day,
      contentG: leftG,
      lowG: leftG * Math.exp(-wide),
      highG: leftG * Math.exp(wide),
      givesG: canGive(leftG, takenG),
      crash: crashHazard({
        ...strain(kind, 0),
        tooWarmC: Math.max(0, tempC - kind.tempMaxC),
        overfed: false,
        ageDays: ageDays + day,
      }).perDay,
    };
  }

  const forecast: Way['forecast'] = (vessel, days, tempOn) =>
    Array.from({ length: days }, (_, day) => dayOf(vessel, day, tempOn(day)));

  return {
    startsFrom: 'culture',
    isPlant: false,
    status,
    forecast,
    lasting: (vessel, _fullG, days, tempOn) =>
      forecast(vessel, days, tempOn, () => 0).map(({ givesG }) => givesG),
    leadDays,
    strain,
    supplyOn: (vessel, day, tempC) => {
      const { kind, ageDays, startsOn, takenTodayG = 0 } = vessel;
      const wholeG = yieldG(kind, vessel, ageDays + day - startsOn, tempC);
      const takenG = day === 0 ? takenTodayG : 0;
      return { logistic: null, givesG: canGive(Math.max(0, wholeG - takenG), takenG) };
    },
    luckSd: ({ kind, estimate: { sd } }) => sd || spreadSd(kind),
    tasks: (vessel, status, day) => [
      ...commonTasks(vessel, status),
      ...nextTask(vessel, status, day),
    ],
    crowdingIn: () => null,
  };
}
