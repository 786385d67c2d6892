import { eatsNothing, mayNotFast, type Stage } from '../fish';
import type { Belly } from '../ration';
import { daysBetween } from '../round';
import { SIGNS_DAYS } from './propose';
import type { Sign } from './signs';

/** What was seen again and again, or measured, and asks for something else than another portion. */
export type Heed =
  /** Some stay back while the others eat: another moment, place or way, not more. */
  | { is: 'hangsBack'; days: number }
  /** Larvae and fry that are too full: smaller meals, as many of them. */
  | { is: 'fullYoung'; days: number }
  /** Colder than their kind digests in: less, and seldom. */
  | { is: 'tooCold'; tempC: number; limitC: number }
  /** Over what is tolerated, and no rhythm of changes that could be changed. */
  | { is: 'overLimit'; mgL: number; capMgL: number }
  | { is: 'poison'; which: 'ammonia' | 'nitrite' };

/** A sign that was seen on so many days is no chance. Assumption. */
const SEEN_DAYS = 3;
const FULL: Belly = 4;
const MEALS: ReadonlySet<Sign['seen']['kind']> = new Set(['left', 'cleared']);

/** How a group looked on a day. */
export interface GroupLook {
  day: string;
  belly: Belly | null;
  hungBack: boolean;
}

/**
 * What no portion answers: every sign that is seen three times leads somewhere, here or to a proposal.
 * @param signs    of its meals and of its water
 * @param answered whether a change of portions or of water is proposed for it already
 */
export function heedsOf(
  {
    stage,
    tempC,
    tempMinC,
    looks,
    signs,
  }: {
    stage: Stage;
    tempC: number;
    tempMinC: number;
    looks: readonly GroupLook[];
    signs: readonly Sign[];
  },
  today: string,
  answered: { portions: boolean; water: boolean },
): Heed[] {
  if (eatsNothing(stage)) return [];
  const daysOf = (which: (look: GroupLook) => boolean) =>
    new Set(
      looks
        .filter(
          (look) => look.day <= today && daysBetween(look.day, today) < SIGNS_DAYS && which(look),
        )
        .map(({ day }) => day),
    ).size;
  const heeds: Heed[] = [];
  const back = daysOf(({ hungBack }) => hungBack);
  if (back >= SEEN_DAYS) heeds.push({ is: 'hangsBack', days: back });
  // Of young no portion is made smaller by itself: what they leave leads here.
  const full = new Set([
    ...looks.filter(({ belly }) => belly !== null && belly >= FULL).map(({ day }) => day),
    ...signs.filter(({ seen, pull }) => MEALS.has(seen.kind) && pull < 0).map(({ day }) => day),
  ]);
  const days = [...full].filter((day) => day <= today && daysBetween(day, today) < SIGNS_DAYS);
  if (mayNotFast(stage) && days.length >= SEEN_DAYS) {
    heeds.push({ is: 'fullYoung', days: days.length });
  }
  if (tempC < tempMinC) heeds.push({ is: 'tooCold', tempC, limitC: tempMinC });
  for (const { seen } of signs) {
    if (seen.kind === 'poison') heeds.push({ is: 'poison', which: seen.which });
    if (seen.kind === 'nitrate' && !answered.portions && !answered.water) {
      heeds.push({ is: 'overLimit', mgL: seen.mgL, capMgL: seen.capMgL });
    }
  }
  return heeds;
}
