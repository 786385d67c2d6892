import type { Judged } from '../judge';
import type { WeekTask } from '../task';
import type { DayKind } from './kinds';
import type { Offer } from './offers';
import { keepsLimits, type Steps } from './plan';

/** A group is left as it is where it gets its need within this share. */
const NEAR = 0.06;

/**
 * The last steps by hand: where a group gets too much or too little, a little less or more of what
 * is meant for it, as long as the simulated plan gets better. Shares that a programme takes as fixed
 * move with every portion; here nothing is taken as fixed.
 * @param most  plans that are tried at the most; each is a day simulated
 * @param judge what a plan comes to; null ends it with the best so far
 */
export function polished(
  task: WeekTask,
  kinds: readonly DayKind[],
  offers: readonly Offer[],
  given: Steps,
  max: number,
  judge: (given: Steps) => Judged | null,
): Steps {
  let best = given;
  const first = judge(given);
  if (first === null) return given;
  let plan = first;
  let trials = 0;
  for (let better = true; better && trials < max;) {
    better = false;
    kinds.forEach((kind, k) => {
      task.groups.forEach((_, h) => {
        const { needKj, gotKj } = plan.outcome.days[kind.days[0]!]!.groups[h]!;
        if (needKj <= 0 || Math.abs(gotKj / needKj - 1) <= NEAR) return;
        const short = gotKj < needKj;
        for (const o of offersFor(offers, best[k]!, k, h, short)) {
          if (trials >= max) return;
          const now = best[k]![o]!;
          const wanted = Math.round(now * Math.min(2, needKj / Math.max(gotKj, 1e-9)));
          const next = short ? Math.max(now + 1, wanted) : Math.min(now - 1, wanted);
          if (next < 0 || next > offers[o]!.maxSteps) continue;
          const other = best.map((ofKind, at) =>
            at === k ? ofKind.map((steps, i) => (i === o ? next : steps)) : ofKind,
          );
          if (!keepsLimits(task, kinds, offers, other)) continue;
          const tried = judge(other);
          trials = tried === null ? max : trials + 1;
          if (tried === null) return;
          if (tried.score >= plan.score - 1e-6) continue;
          best = other;
          plan = tried;
          better = true;
          return;
        }
      });
    });
  }
  return best;
}

/**
 * What could be changed for a group: what is meant for it first, the largest first; where it is short
 * also what it does not get yet, the likeliest to reach it first.
 */
function offersFor(
  offers: readonly Offer[],
  given: readonly number[],
  k: number,
  h: number,
  short: boolean,
): number[] {
  const own = (o: number) => offers[o]!.group === h;
  const first = (which: (o: number) => boolean, by: (a: number, b: number) => number) =>
    offers
      .flatMap((_, o) => (which(o) ? [o] : []))
      .sort((a, b) => by(a, b) || a - b)
      .slice(0, 2);
  const status = first(
    (o) => given[o]! > 0 && (!short || own(o)),
    (a, b) =>
      Number(own(b)) - Number(own(a)) ||
      given[b]! * offers[b]!.stepG - given[a]! * offers[a]!.stepG,
  );
  const more = first(
    (o) => short && own(o) && given[o] === 0,
    (a, b) => offers[b]!.reaches[k]![h]! - offers[a]!.reaches[k]![h]!,
  );
  return [...status, ...more];
}
