import type { Tank } from '@open-larder/contract';
import { addDays, dropsOf, type Round } from '@open-larder/core';
import type { Chance } from './chance';
import { LOOKS, SEEN, type DemoSeen } from './scenario';

interface Watched {
  tanks: readonly Tank[];
  groups: readonly { id: string; name: string }[];
  today: string;
  chance: Chance;
  now: Date;
}

/** What the demo's keeper noted of meals in the last days: who came, and when it was gone. */
export function seenLately(rounds: readonly Round[], watched: Watched) {
  return SEEN.flatMap((one) => {
    const day = addDays(watched.today, -one.daysAgo);
    const round = rounds.find((compiled) => compiled.day === day);
    return round ? (rowOf(one, round, watched) ?? []) : [];
  });
}

function rowOf(seen: DemoSeen, round: Round, { tanks, groups, chance, now }: Watched) {
  const tank = tanks.find(({ name }) => name === seen.tank);
  const moments = round.moments.filter(({ moment }) => moment.name === seen.moment);
  const drops = tank ? dropsOf({ ...round, moments }, tank.id) : [];
  // A fast or a change of plan: then there was nothing to see.
  if (!tank || drops.length === 0) return null;
  return {
    id: chance.id(now),
    tankId: tank.id,
    day: round.day,
    momentId: moments[0]!.moment.id,
    clearedMin: seen.clearedMin,
    left: seen.left,
    dropKeys: null,
    unwatched: false,
    came: groups.flatMap(({ id, name }) => {
      const share = seen.came[name];
      return share === undefined ? [] : [{ groupId: id, share }];
    }),
    drops,
  };
}

/** What the demo's keeper noted of bellies in the last days. */
export function lookedLately({ groups, today, chance, now }: Watched) {
  return LOOKS.map(({ daysAgo, group, belly, hungBack = false, note = '' }) => ({
    id: chance.id(now),
    groupId: groups.find(({ name }) => name === group)!.id,
    day: addDays(today, -daysAgo),
    at: new Date(now.getTime() - daysAgo * 86_400_000),
    belly,
    hungBack,
    absent: false,
    injured: false,
    colour: null,
    droppings: null,
    note,
    hand: null,
  }));
}
