import { v7 as uuidv7 } from 'uuid';
import type { Answer, Proposals, WaterRow } from '@open-larder/contract';
import {
  addDays,
  effectOf,
  fedAfter,
  grows,
  heedsOf,
  LATER_DAYS,
  nitrateSign,
  propose,
  QUIET_DAYS,
  refusedFoods,
  SIGNS_DAYS,
  waterProposal,
  type Effect,
  type Food,
  type FeedingModel,
  type HouseGroup,
  type HouseTank,
  type Proposal,
  type Tried,
  type WaterProposal,
} from '@open-larder/core';
import { formatUnits } from '@open-larder/say';
import type { WaterRhythm } from '@open-larder/core/water/rhythm';
import type { Scope } from '../db';
import type { HouseholdSnapshot } from '../round/house';
import { looksSince } from '../look/store';
import { readWaterStatuses } from '../water/status';
import { answersSince } from './answers';
import { houseUse, nitrateAfter, stockAfter } from './leadsTo';
import { foodsTried, portionsSince, readSeen, type Seen } from './seen';

/** All that a household's proposals are worked out from. */
export interface ProposalContext {
  household: HouseholdSnapshot;
  today: string;
  seen: Seen;
  tried: readonly (Tried & { groupId: string })[];
  waters: ReadonlyMap<string, WaterRow>;
  /** How the groups looked in the days that proposals look back to. */
  looks: Awaited<ReturnType<typeof looksSince>>;
  /** Answers that keep a proposal quiet today. */
  quiet: readonly Answer[];
}

export async function groundOf(
  scope: Scope,
  household: HouseholdSnapshot,
  today: string,
): Promise<ProposalContext> {
  const from = addDays(today, 1 - SIGNS_DAYS);
  const [seen, tried, waters, answers, looks] = await Promise.all([
    readSeen(scope, household, { from, today }),
    foodsTried(scope, today),
    readWaterStatuses(scope, household, today, null),
    answersSince(scope, addDays(today, 1 - QUIET_DAYS)),
    looksSince(scope, from),
  ]);
  const laterSince = addDays(today, -LATER_DAYS);
  return {
    household,
    today,
    seen,
    tried,
    looks,
    waters: new Map(waters.map((row) => [row.tankId, row])),
    quiet: answers.filter(({ accepted, later, day }) => !accepted && (!later || day > laterSince)),
  };
}

interface PortionsProposed {
  group: HouseGroup;
  tank: HouseTank;
  version: number;
  proposal: Proposal;
  effect: Effect;
}

/** Other portions for those groups whose signs ask for them, in the order of the house. */
export function portionsFor({
  household,
  today,
  seen,
  waters,
  quiet,
}: ProposalContext): PortionsProposed[] {
  const { groups, house } = household.on(today);
  const rows = new Map(groups.map((row) => [row.id, row]));
  const lives = new Map(household.history.lives.map((life) => [life.row.id, life]));
  const tanks = new Map<string, HouseTank>(house.tanks.map((tank) => [tank.id, tank]));
  const foods = foodsOf(house);
  return house.groups.flatMap((group) => {
    const diet = rows.get(group.id)?.diet;
    const tank = tanks.get(group.tankId);
    const declined = quiet.some((one) => one.kind === 'portions' && one.groupId === group.id);
    if (!diet || !tank || declined || group.count === 0) return [];
    const since = portionsSince(lives.get(group.id)?.diets ?? []);
    const status = waters.get(group.tankId)?.status;
    const water = status && nitrateSign(status, group.stage, { since, today });
    const signs = [...seen.signsOf(group, since, today), ...(water ? [water] : [])];
    const proposal = propose(group.stage, signs, today, group.belly ?? null);
    const effect =
      proposal && effectOf(group, tank, foods, proposal.change, addDays(today, 1), uuidv7);
    return effect ? [{ group, tank, version: diet.version, proposal, effect }] : [];
  });
}

const foodsOf = (house: FeedingModel): ReadonlyMap<string, Food> =>
  new Map<string, Food>(house.foods.map((food) => [food.id, food]));

export interface WaterChange {
  tank: HouseholdSnapshot['tanks'][number];
  rhythm: WaterRhythm;
  proposal: WaterProposal;
}

/** Other rhythms for those tanks that pass their cap with the one that stands in their plan. */
export function watersFor({ household, today, waters, quiet }: ProposalContext): WaterChange[] {
  return household.tanksOn(today).flatMap((tank) => {
    const status = waters.get(tank.id)?.status;
    const rhythm = tank.plan?.water;
    if (!status || !rhythm || quiet.some(({ tankId }) => tankId === tank.id)) return [];
    const proposal = waterProposal(status, rhythm);
    return proposal ? [{ tank, rhythm, proposal }] : [];
  });
}

/** What is proposed today, as a keeper reads it. */
export function proposalsOf(ground: ProposalContext): Proposals {
  const { household, today } = ground;
  const { house } = household.on(today);
  const foods = new Map(house.foods.map((food) => [food.id, food]));
  const moments = new Map(house.moments.map((moment) => [moment.id, moment]));
  const families = new Map(household.foods.map((food) => [food.id, food.family]));
  const asked = portionsFor(ground);
  const use = asked.length > 0 ? houseUse(ground) : new Map<string, number[]>();
  const changes = watersFor(ground);
  return {
    heeds: heedsFor(ground, asked, changes),
    portions: asked.map(({ group, tank, version, proposal, effect }) => ({
      groupId: group.id,
      groupName: group.name,
      tankId: group.tankId,
      version,
      change: effect.change,
      signs: proposal.signs.map(({ seen, day }) => ({ seen, day })),
      changed: effect.changed.map(({ servingId, foodId, momentId, before, after, days }) => {
        const food = foods.get(foodId)!;
        return {
          servingId,
          foodName: food.name,
          momentName: moments.get(momentId)?.name ?? '',
          before: formatUnits(before, food.unit),
          after: formatUnits(after, food.unit),
          by: formatUnits(Math.abs(after - before), food.unit),
          leftOut: after === 0,
          days: days && [...days],
        };
      }),
      leadsTo: {
        ...fedAfter(
          group,
          effect.diet,
          tank,
          foods,
          (id) => families.get(id) ?? '',
          addDays(today, 1),
        ),
        stock: stockAfter(ground, use, group, effect.diet),
        nitrate: nitrateAfter(ground, group, effect.diet),
      },
      why: proposal.why,
    })),
    trainings: trainingsOf(ground, house),
    waters: changes.map(({ tank, rhythm, proposal }) => {
      const litres = ground.waters.get(tank.id)?.litres ?? 0;
      const weekly = (share: number, everyDays: number) => (share * litres * 7) / everyDays;
      const { share, everyDays, peakMgL, toPeakMgL, cap, why } = proposal;
      return {
        tankId: tank.id,
        tankName: tank.name,
        version: tank.plan!.version,
        before: { share: rhythm.share, everyDays: rhythm.everyDays },
        after: { share, everyDays },
        peak: { before: peakMgL, after: toPeakMgL },
        capMgL: cap.mgL,
        capGroupName: cap.groupName,
        litresPerWeek: {
          before: weekly(rhythm.share, rhythm.everyDays),
          after: weekly(share, everyDays),
        },
        growers: house.groups
          .filter((group) => group.tankId === tank.id && group.count > 0 && grows(group.stage))
          .map(({ name }) => name),
        why,
      };
    }),
  };
}

/** What asks for something else than another portion, group by group. */
function heedsFor(
  { household, today, seen, waters, looks }: ProposalContext,
  asked: readonly PortionsProposed[],
  changes: readonly WaterChange[],
): Proposals['heeds'] {
  const { house } = household.on(today);
  const tanks = new Map(house.tanks.map((tank) => [tank.id, tank]));
  const lives = new Map(household.history.lives.map((life) => [life.row.id, life]));
  return house.groups.flatMap((group) => {
    const tank = tanks.get(group.tankId);
    if (!tank || group.count === 0) return [];
    const status = waters.get(tank.id)?.status;
    const since = portionsSince(lives.get(group.id)?.diets ?? []);
    const sign = status && nitrateSign(status, group.stage, { since, today });
    return heedsOf(
      {
        stage: group.stage,
        tempC: tank.tempC,
        tempMinC: group.species.tempMinC,
        looks: looks.filter(({ groupId }) => groupId === group.id),
        signs: [...seen.signsOf(group, since, today), ...(sign ? [sign] : [])],
      },
      today,
      {
        portions: asked.some((one) => one.group.id === group.id),
        water: changes.some((one) => one.tank.id === tank.id),
      },
    ).map((heed) => ({ groupId: group.id, groupName: group.name, tankId: tank.id, heed }));
  });
}

function trainingsOf(
  { household, today, tried, quiet }: ProposalContext,
  house: FeedingModel,
): Proposals['trainings'] {
  const foods = foodsOf(house);
  const mixable = new Map(household.foods.map((food) => [food.id, food]));
  return house.groups.flatMap((group) => {
    const triedBy = tried.filter(({ groupId }) => groupId === group.id);
    return refusedFoods(group, triedBy, mixable, today).flatMap(
      ({ foodId, withFoodId, ...refused }) => {
        const food = foods.get(foodId);
        const known = foods.get(withFoodId);
        const declined = quiet.some((one) => one.groupId === group.id && one.foodId === foodId);
        if (!food || !known || declined) return [];
        return [
          {
            ...refused,
            groupId: group.id,
            groupName: group.name,
            tankId: group.tankId,
            foodId,
            foodName: food.name,
            withFoodName: known.name,
          },
        ];
      },
    );
  });
}
