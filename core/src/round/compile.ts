import type { Food } from '../ration';
import { instantOf, wallMinutes, type Moment } from './clock';
import { compileGroupDay, type DueServing, type GroupDay } from './day';
import type { FeedingModel, HouseGroup, HouseTank } from './plan';

export interface RoundServing extends DueServing {
  /** Stable for a serving on a day, so that two phones name the same thing. */
  key: string;
  group: HouseGroup;
}

export interface RoundStop {
  tank: HouseTank;
  /** Instant at which this tank is due, and its wall time in minutes after midnight. */
  at: Date;
  minutes: number;
  servings: RoundServing[];
}

export interface RoundMoment {
  moment: Moment;
  /** In walking order. */
  stops: RoundStop[];
}

export interface Round {
  day: string;
  moments: RoundMoment[];
  /** Every group's day, resting ones too. */
  groups: GroupDay[];
}

/**
 * Compile a local day: what is due, at which moment, in walking order.
 * Linear in servings. Moments are ordered by the time at which their first tank is due.
 * @param day YYYY-MM-DD in the house's time zone
 */
export function compileRound(house: FeedingModel, day: string): Round {
  const foods = new Map<string, Food>(house.foods.map((food) => [food.id, food]));
  const tanks = new Map(house.tanks.map((tank) => [tank.id, tank]));
  const stops = new Map<string, Map<string, RoundStop>>();
  const moments = new Map(house.moments.map((moment) => [moment.id, moment]));
  const instants = new Map<number, Date>();
  const groups: GroupDay[] = [];

  const instantAt = (minutes: number): Date => {
    const known = instants.get(minutes);
    if (known) return known;
    const at = instantOf(day, minutes, house.timeZone);
    instants.set(minutes, at);
    return at;
  };

  for (const group of house.groups) {
    const tank = tanks.get(group.tankId);
    if (!tank) continue;
    const compiled = compileGroupDay(group, tank, foods, day);
    groups.push(compiled);
    for (const due of compiled.servings) {
      const moment = moments.get(due.serving.momentId);
      if (!moment) continue;
      const byTank = stops.get(moment.id) ?? new Map<string, RoundStop>();
      stops.set(moment.id, byTank);
      let stop = byTank.get(tank.id);
      if (!stop) {
        const minutes = wallMinutes(moment, tank.light);
        stop = { tank, minutes, at: instantAt(minutes), servings: [] };
        byTank.set(tank.id, stop);
      }
      stop.servings.push({ ...due, group, key: servingKey(due.serving.id, day) });
    }
  }

  const compiled = [...stops].map(([momentId, byTank]) => ({
    moment: moments.get(momentId) as Moment,
    stops: [...byTank.values()].sort(byWalk),
  }));
  compiled.sort((a, b) => earliest(a) - earliest(b) || (a.moment.name < b.moment.name ? -1 : 1));
  return { day, moments: compiled, groups };
}

export function servingKey(servingId: string, day: string): string {
  return `${servingId}:${day}`;
}

const earliest = (moment: RoundMoment) =>
  Math.min(...moment.stops.map((stop) => stop.at.getTime()));

const byWalk = (a: RoundStop, b: RoundStop) =>
  a.tank.walkOrder - b.tank.walkOrder || (a.tank.id < b.tank.id ? -1 : 1);
