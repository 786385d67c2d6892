import type { CultureKind } from '@open-larder/catalogue/cultures';
import { driftOf, MAX_SD } from '../drift';
import { estimate, type BeliefEvent } from '../estimate';
import { crashHazard } from '../hazard';
import { gramsOfOne, logisticOf, type Growing } from '../kind';
import { grown, lastingHarvest, leftForMost, safeHarvest, type Logistic } from '../logistic';
import { commonTasks, lookTask, thinTask } from '../tasks';
import type {
  VesselContents,
  CultureDay,
  VesselEvent,
  EventsSinceStart,
  ForecastStart,
} from '../types';
import type { ByDay, Way } from './way';

/** A culture is started with so much of what its vessel carries. Assumption. */
export const START_SHARE = 0.1;
/** How far what a new culture is started with is off: of the logarithm. Assumption. */
const START_SD = 0.3;
/** Nine of ten lie within so many standard deviations. */
const BAND = 1.645;
/**
 * What is not fed for twice its rhythm carries less: half of it for each further two rhythms, or four
 * days, where it is fed daily. Assumption.
 */
const STARVED_AFTER = 2;
const HALVED_IN = 2;
const HALVED_DAYS = 4;
const MIN_FED = 0.25;
/** A culture gives in earnest from this share of its full yield on. */
const IN_EARNEST = 0.5;

/** A kind that grows until it is crowded: what is believed to be in it, from all that was seen. */
function status({
  vessel: { kind, enteredOn = null },
  measure,
  since,
  startG,
  ageDays,
  ageOf,
  tempOn,
}: EventsSinceStart): VesselContents {
  const gram = gramsOfOne(kind);
  const fed = since.filter((event) => event.kind === 'fed').map((event) => ageOf(event.day));
  const on = (day: number): Logistic =>
    logisticOf(kind, measure, tempOn(day), fedness(kind, fed, day));
  const max = logisticOf(kind, measure, 20).capacity;
  const start = startG === null ? max * START_SHARE : startG / gram;
  const seen = since.flatMap((event) => asSeen(event, ageOf(event.day), measure, gram));
  const unknown: BeliefEvent[] =
    enteredOn === null ? [] : [{ day: ageOf(enteredOn), kind: 'unknown' }];
  const known = [...unknown, ...seen].sort((a, b) => a.day - b.day);
  const belief = estimate(start, known, ageDays, on);
  const now = on(ageDays);
  const gives = safeHarvest(now, belief.count);
  return {
    state: belief.count > max * IN_EARNEST * 0.6 ? 'giving' : 'building',
    contentG: belief.count * gram,
    lowG: belief.low * gram,
    highG: Math.min(belief.high, Math.max(max, belief.count)) * gram,
    fullG: max * gram,
    fullness: max > 0 ? belief.count / max : 0,
    givesG: gives * gram,
    lastingG: lastingHarvest(logisticOf(kind, measure, tempOn(ageDays))) * gram,
    surprised: belief.surprised,
    estimate: { count: belief.count, sd: belief.sd },
    keptG: 0,
    vigour: 1,
    leftShare: 1,
    takenTodayG: 0,
    fed: fedness(kind, fed, ageDays),
  };
}

/** What an event says to the belief about a count. */
function asSeen(event: VesselEvent, day: number, measure: number, gram: number): BeliefEvent[] {
  switch (event.kind) {
    case 'seen':
      return event.density === null ? [] : [{ day, kind: 'seen', density: event.density }];
    case 'counted':
      return [{ day, kind: 'counted', count: (event.count / event.sampleMl) * 1000 * measure }];
    case 'harvested':
      return [{ day, kind: 'harvested', count: event.massG / gram }];
    case 'split':
      return [{ day, kind: 'kept', share: 1 - event.share }];
    case 'added':
      return [{ day, kind: 'added', count: event.massG / gram }];
    case 'crashed':
      return [{ day, kind: 'crashed' }];
    default:
      return [];
  }
}

/** How well it is fed: 1 if no feeding is logged, or as often as its kind needs it. */
function fedness({ feedDays }: CultureKind, fed: readonly number[], day: number): number {
  const last = fed.findLast((one) => one <= day);
  if (feedDays === null || feedDays === 0 || last === undefined) return 1;
  const missed = day - last - STARVED_AFTER * feedDays;
  return missed <= 0
    ? 1
    : Math.max(MIN_FED, 0.5 ** (missed / Math.max(HALVED_DAYS, HALVED_IN * feedDays)));
}

const strain: Way['strain'] = (_, fullness) => ({ crowding: fullness, tiredDays: null });

function ahead(
  { kind, measure, ageDays, estimate: { count, sd }, fed = 1 }: ForecastStart,
  days: number,
  tempOn: ByDay,
  takenOn: ByDay,
): CultureDay[] {
  const gram = gramsOfOne(kind);
  let now = count;
  let variance = sd ** 2;
  return Array.from({ length: days }, (_, day) => {
    const tempC = tempOn(day);
    // Who looks ahead feeds from tomorrow on.
    const model = logisticOf(kind, measure, tempC, day === 0 ? fed : 1);
    const max = logisticOf(kind, measure, tempC).capacity;
    const wide = BAND * Math.sqrt(variance);
    const standing = now;
    now = grown(model, Math.max(0, now - takenOn(day) / gram), 1);
    variance = Math.min(MAX_SD ** 2, variance + driftOf(model.rSd));
    return {
      day,
      contentG: standing * gram,
      lowG: standing * gram * Math.exp(-wide),
      highG: Math.min(standing * Math.exp(wide), Math.max(standing, max)) * gram,
      givesG: safeHarvest(model, standing) * gram,
      crash: crashHazard({
        ...strain(kind, max > 0 ? standing / max : 0),
        tooWarmC: Math.max(0, tempC - kind.tempMaxC),
        overfed: false,
        ageDays: ageDays + day,
      }).perDay,
    };
  });
}

function lasting(vessel: ForecastStart, _fullG: number, days: number, tempOn: ByDay): number[] {
  const { kind, measure } = vessel;
  return ahead(vessel, days, tempOn, () => 0).map(({ day, givesG }) => {
    const model = logisticOf(kind, measure, tempOn(day));
    // Down to where it grows most, once a day: what it grows by until the next.
    const grownG = model.capacity * Math.tanh(model.rPerDay / 4) * gramsOfOne(kind);
    return Math.min(givesG, grownG);
  });
}

function leadDays(kind: Growing, measure: number, tempC: number): number {
  const model = logisticOf(kind, measure, tempC);
  let count = model.capacity * START_SHARE;
  for (let day = 0; day < 366; day += 1) {
    if (count > leftForMost(model)) return day;
    count = grown(model, count, 1);
  }
  return 366;
}

/** It grows until it is crowded: what is in it is believed from what was seen. */
export const CROWDING: Way = {
  startsFrom: 'culture',
  isPlant: false,
  status,
  forecast: ahead,
  lasting,
  leadDays,
  strain,
  supplyOn: ({ kind, measure }, _day, tempC) => ({
    logistic: logisticOf(kind, measure, tempC),
    givesG: 0,
  }),
  luckSd: () => START_SD,
  tasks: (vessel, status) => [
    ...commonTasks(vessel, status),
    ...lookTask(status),
    ...thinTask(status),
  ],
  crowdingIn: logisticOf,
};
