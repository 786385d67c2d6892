import type { BodyOf, BroodRow, Feeding, FoodRow, RoundView } from '@open-larder/contract';
import type { RouteName } from '@open-larder/contract/paths';
import { PLAIN } from '@open-larder/core/round';
import { putIn, setEnded, takeOut } from '../round/inWater';
import type { Act } from './act';
import { intoHistory } from './histories';

/** By what an answer was asked for. */
export interface Asked {
  params?: unknown;
  query?: unknown;
}

/** An answer as the server would give it had it what this device still keeps. `data` is changed. */
export function withActs(
  route: RouteName,
  data: unknown,
  acts: readonly Act[],
  { params, query }: Asked = {},
): unknown {
  const waiting = acts.filter(({ problem }) => problem === null);
  switch (route) {
    case 'getRound':
      for (const act of waiting) intoRound(data as RoundView, act);
      break;
    case 'listBroods':
      for (const act of waiting) intoBroods((data as { items: BroodRow[] }).items, act);
      break;
    case 'listFoods':
      for (const act of waiting) intoFoods((data as { items: FoodRow[] }).items, act);
      break;
    default: {
      const { id } = (params ?? {}) as { id?: unknown };
      const { cursor } = (query ?? {}) as { cursor?: unknown };
      if (typeof id !== 'string' || cursor !== undefined) break;
      for (const act of waiting) intoHistory(route, data as { items: { id: string }[] }, act, id);
    }
  }
  return data;
}

const servingsOf = (round: RoundView) =>
  round.moments.flatMap(({ momentId, stops }) =>
    stops.flatMap(({ tankId, servings }) =>
      servings.map((serving) => ({ serving, place: { momentId, tankId, day: round.day } })),
    ),
  );

function intoRound(round: RoundView, { route, params, body }: Act): void {
  switch (route) {
    case 'logFeeding': {
      const fed = body as BodyOf<'logFeeding'>;
      if (fed.day !== round.day) return;
      const known = servingsOf(round).find(({ serving }) => serving.servingId === fed.servingId);
      if (!known) return;
      const { serving, place } = known;
      const massG = fed.units * serving.unit.massG;
      serving.fed = { ...fed, massG };
      if (massG === 0 || fed.outcome === 'refused') return;
      putIn(round, place, {
        key: fed.servingId,
        foodId: fed.foodId,
        groupId: serving.groupId,
        atMin: 0,
        massG,
        zone: serving.zone,
        place: serving.place,
        manner: PLAIN,
        at: fed.at,
        ended: false,
      });
      return;
    }
    case 'undoFeeding':
      for (const { serving } of servingsOf(round)) {
        if (serving.fed?.id !== params!.id) continue;
        serving.fed = null;
        takeOut(round, round.day, serving.servingId);
      }
      round.unplanned = round.unplanned.filter(({ id }) => id !== params!.id);
      return;
    case 'logChore': {
      const chore = body as BodyOf<'logChore'>;
      const known = round.done.some(({ about }) => about === chore.about);
      if (chore.day === round.day && !known) round.done.push(chore);
      return;
    }
    case 'undoChore':
      round.done = round.done.filter(({ id }) => id !== params!.id);
      return;
    case 'addSighting': {
      const { day, momentId, dropKeys, drops } = body as BodyOf<'addSighting'>;
      const meal = round.inWater.find(
        (one) => one.day === day && one.momentId === momentId && one.tankId === params!.id,
      );
      if (meal) setEnded(round, meal, dropKeys ?? drops.map(({ key }) => key), true);
    }
  }
}

function intoBroods(broods: BroodRow[], { route, params, body }: Act): void {
  const servings = broods.flatMap(({ meals }) => meals.flatMap((meal) => meal.servings));
  if (route === 'logFeeding') {
    const fed = body as BodyOf<'logFeeding'>;
    const serving = servings.find(({ servingId }) => servingId === fed.servingId);
    if (serving) serving.fed = { ...fed, massG: 0 } satisfies Feeding;
  } else if (route === 'undoFeeding') {
    for (const serving of servings) if (serving.fed?.id === params!.id) serving.fed = null;
  }
}

/** The shelf as it was counted here: what was served since is drawn by the server. */
function intoFoods(foods: FoodRow[], { route, params, body }: Act): void {
  if (route !== 'countLot') return;
  const { remainingG } = body as BodyOf<'countLot'>;
  for (const food of foods) {
    const lot = food.lots.find(({ id }) => id === params!.id);
    if (!lot) continue;
    food.remainingG += remainingG - lot.remainingG;
    lot.remainingG = remainingG;
  }
}
