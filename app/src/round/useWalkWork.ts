import type { BroodRow, Tank, VesselRow, WaterRow } from '@open-larder/contract';
import type { BroodWorkKind } from '@open-larder/core/brood/vocabulary';
import { mealLine, toServe, waitsForLastMeal } from '../brood/fryMeals';
import { api, useFormat } from '../store';

/** Something to see to on the walk beside feeding: the water of a tank, a brood, the live shelf. */
export interface WalkWork {
  key: string;
  about: 'water' | 'brood' | 'cultures';
  /** Of the tank or the brood. */
  id: string;
  /** Where on the walk: a tank's number, or just after it. */
  order: number;
  /** The tank's number; null where it is at none. */
  number: number | null;
  title: string;
  detail: string;
  urgent: boolean;
  /** What young in tubs get now, in one tap; null where nothing is due. */
  meal: YoungMeal | null;
}

export interface YoungMeal {
  broodId: string;
  says: string;
  servings: ReturnType<typeof toServe>;
}

/** What stands at no tank comes when the tanks are done. */
const LAST = 1e6;

const BROOD_WORDS: Record<BroodWorkKind, string> = {
  live: 'live food for the pair',
  lastMeal: 'last meal tonight',
  together: 'put them together',
  treated: 'no food: treated',
  treatAgain: 'repeat the treatment',
  parents: 'take the parents out',
  fast: 'parents fast',
  recover: 'parents eat again',
  eggs: 'take out white eggs',
  inspect: 'look at the guard',
  tumble: 'eggs kicked out: tumbler or tub',
  wet: 'wet the eggs',
  expect: 'look for the next stage',
  yolk: 'no food: yolk',
  firstFood: 'first food',
  feed: 'feed',
  standing: 'food left standing in the water',
  change: 'change water',
  start: 'start a culture',
  count: 'count',
  sort: 'sort',
  moveUp: 'move up',
  apart: 'part the fighters',
  home: 'find a home',
  group: 'make them a group',
  beside: 'can go back to their parents',
};

/**
 * What waits beside feeding today, in walking order; empty until it is known.
 * @param wanted false for another day, and until the round itself is there
 */
export function useWalkWork(
  tanks: readonly Tank[],
  { day: today, minutes }: { day: string; minutes: number },
  wanted: boolean,
): WalkWork[] {
  const format = useFormat();
  const skip = { skip: !wanted };
  const { data: waters } = api.useWatersQuery(undefined, skip);
  const { data: broods } = api.useBroodsQuery(undefined, skip);
  const { data: vessels } = api.useVesselsQuery(undefined, skip);
  if (!wanted) return [];
  const tankOf = (id: string | null) => tanks.find((tank) => tank.id === id);
  const litres = (value: number) => format.quantity('volume', value);
  return [
    ...(waters ?? []).flatMap((row) => waterWork(row, tankOf(row.tankId), today, litres)),
    ...(broods ?? []).flatMap((row) => broodWork(row, tankOf(row.tankId), minutes, format.time)),
    ...cultureWork(vessels ?? []),
  ].sort((a, b) => a.order - b.order);
}

/** Steps of a trigger beside its refills, which are changes of water. */
const HEATER: Partial<Record<WaterRow['trigger'][number]['does'], string>> = {
  heaterDown: 'heater down for the rain',
  heaterBack: 'heater back up',
};

function waterWork(
  { tankId, status, trigger }: WaterRow,
  tank: Tank | undefined,
  today: string,
  litres: (value: number) => string,
): WalkWork[] {
  const next = status?.next ?? null;
  const harm = (status?.warnings ?? []).find(
    ({ kind }) => kind === 'ammonia' || kind === 'nitrite',
  );
  const due = next !== null && next.day <= today && !next.held;
  const step = trigger.find(({ day, does }) => day === today && HEATER[does] !== undefined);
  if (!tank || (!due && !harm && !step)) return [];
  return [
    {
      key: `water ${tankId}`,
      about: 'water',
      id: tankId,
      order: tank.walkOrder,
      number: tank.walkOrder,
      title: tank.name,
      detail: [
        harm ? `${harm.kind} in the water` : null,
        due ? `change ${litres(next.litres)}` : null,
        step ? HEATER[step.does] : null,
      ]
        .filter(Boolean)
        .join(' · '),
      urgent: harm !== undefined || (due && next.late > 0),
      meal: null,
    },
  ];
}

function broodWork(
  row: BroodRow,
  tank: Tank | undefined,
  minutes: number,
  time: (minutes: number) => string,
): WalkWork[] {
  if (row.status.state.phase === 'over') return [];
  // Young are fed by their meals, or as a group of their own.
  const work = row.work.filter(
    (one) => one.what !== 'feed' && !waitsForLastMeal(one, row, minutes),
  );
  const { due, says } = mealLine(row, minutes, time);
  const servings = due ? toServe(due) : [];
  if (work.length === 0 && row.meals.length === 0) return [];
  return [
    {
      key: `brood ${row.id}`,
      about: 'brood',
      id: row.id,
      order: tank ? tank.walkOrder + 0.5 : LAST,
      number: tank?.walkOrder ?? null,
      title: row.name,
      detail: [...new Set([says, ...work.map(({ what }) => BROOD_WORDS[what])])]
        .filter(Boolean)
        .join(' · '),
      urgent: servings.length > 0 || work.some(({ urgent }) => urgent),
      meal: servings.length > 0 ? { broodId: row.id, says, servings } : null,
    },
  ];
}

function cultureWork(vessels: readonly VesselRow[]): WalkWork[] {
  const due = vessels.filter(({ work }) => work.length > 0);
  if (due.length === 0) return [];
  return [
    {
      key: 'cultures',
      about: 'cultures',
      id: 'cultures',
      order: LAST + 1,
      number: null,
      title: 'Live shelf',
      detail: due.map(({ name }) => name).join(' · '),
      urgent: due.some(({ work }) => work.some(({ urgent }) => urgent)),
      meal: null,
    },
  ];
}
