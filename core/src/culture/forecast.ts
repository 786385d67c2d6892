import { assertRange } from '../units';
import { driftOf, MOST_SD } from './drift';
import { crashHazard } from './hazard';
import type { Estimate } from './estimate';
import { gramsOfOne, logisticOf, type Growing } from './kind';
import { grown, safeHarvest } from './logistic';
import { ageModelOf, ageModelYield, canGive, isCrowding, type Contents } from './models';

/** A vessel as it stands on the day that is looked ahead from. */
export interface Standing extends Contents {
  kind: Growing;
  ageDays: number;
  /** What is believed to be in it, for kinds that grow until they are crowded; how sure, for all. */
  estimate: Pick<Estimate, 'count' | 'sd'>;
  /** Grams taken today already; missing for none. */
  takenTodayG?: number;
  /** How well it is fed today, 1 as it should be; missing for that. */
  fed?: number;
  /** It rests, crashed or was ended: nothing can be taken. */
  idle?: boolean;
}

/** A day of a forecast. */
export interface CultureDay {
  /** Days from now: 0 is today. */
  day: number;
  /** Grams that stand in it, and the band in which they lie nine times of ten. */
  standingG: number;
  lowG: number;
  highG: number;
  /** Grams that can be taken that day without harm to what follows. */
  givesG: number;
  /** Chance that it crashes on that day. */
  crash: number;
}

const BAND = 1.645;

/**
 * A vessel for some days ahead.
 * @param tempOn water temperature on a day from now, °C
 * @param taken  grams that are to be taken on a day from now
 * @throws RangeError for more than a year
 */
export function forecast(
  vessel: Standing,
  days: number,
  tempOn: (day: number) => number,
  taken: (day: number) => number = () => 0,
): CultureDay[] {
  assertRange('days ahead', days, 1, 366);
  const ahead = isCrowding(vessel.kind)
    ? crowdedAhead(vessel, days, tempOn, taken)
    : Array.from({ length: days }, (_, day) => givingOn(vessel, day, tempOn(day)));
  return vessel.idle ? ahead.map((one) => ({ ...one, givesG: 0 })) : ahead;
}

function crowdedAhead(
  { kind, measure, ageDays, estimate: { count, sd }, fed = 1 }: Standing,
  days: number,
  tempOn: (day: number) => number,
  taken: (day: number) => number,
): CultureDay[] {
  const gram = gramsOfOne(kind);
  let now = count;
  let variance = sd ** 2;
  return Array.from({ length: days }, (_, day) => {
    const tempC = tempOn(day);
    // Who looks ahead feeds from tomorrow on.
    const model = logisticOf(kind, measure, tempC, day === 0 ? fed : 1);
    const most = logisticOf(kind, measure, tempC).capacity;
    const wide = BAND * Math.sqrt(variance);
    const standing = now;
    now = grown(model, Math.max(0, now - taken(day) / gram), 1);
    variance = Math.min(MOST_SD ** 2, variance + driftOf(model.rSd));
    return {
      day,
      standingG: standing * gram,
      lowG: standing * gram * Math.exp(-wide),
      highG: Math.min(standing * Math.exp(wide), Math.max(standing, most)) * gram,
      givesG: safeHarvest(model, standing) * gram,
      crash: crashHazard({
        crowding: most > 0 ? standing / most : 0,
        tooWarmC: Math.max(0, tempC - kind.tempMaxC),
        overfed: false,
        ageDays: ageDays + day,
        tiredDays: null,
      }).perDay,
    };
  });
}

/** A day of a kind whose age tells what it gives. */
function givingOn(vessel: Standing, day: number, tempC: number): CultureDay {
  const { kind, ageDays, estimate, takenTodayG = 0 } = vessel;
  const takenG = day === 0 ? takenTodayG : 0;
  const wholeG = ageModelYield(kind, vessel, ageDays + day, tempC);
  // What renews is whole again but for today; of other kinds the contents are less what was taken.
  const leftG = ageModelOf(kind).renews ? Math.max(0, wholeG - takenG) : wholeG;
  const wide = BAND * estimate.sd;
  return {
    day,
    standingG: leftG,
    lowG: leftG * Math.exp(-wide),
    highG: leftG * Math.exp(wide),
    givesG: canGive(kind, leftG, takenG),
    crash: crashHazard({
      crowding: 0.5,
      tooWarmC: Math.max(0, tempC - kind.tempMaxC),
      overfed: false,
      ageDays: ageDays + day,
      tiredDays: kind.overDays,
    }).perDay,
  };
}
