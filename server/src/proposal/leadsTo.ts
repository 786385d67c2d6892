import type { PortionsProposed } from '@open-larder/contract';
import {
  addDays,
  daysLeft,
  plannedUse,
  type Diet,
  type FeedingModel,
  type HouseGroup,
} from '@open-larder/core';
import { nitrogenMg } from '@open-larder/core/water';
import { NITRATE_PER_N } from '@open-larder/core/water/nitrogen';
import { peakOf } from '@open-larder/core/water/sawTooth';
import { USUAL_RHYTHM } from '@open-larder/core/water/rhythm';
import type { ProposalContext } from './ground';

type LeadsTo = PortionsProposed['leadsTo'];

/** How far the stock is looked at, in days: as far as the larder does. */
const HORIZON = 120;
/** Nitrogen of a plan is reported by the mean of so many days: whole cycles of most. */
const CYCLES_DAYS = 28;

/** What of each food some groups take, day by day. */
function usageOf(
  house: FeedingModel,
  groups: readonly HouseGroup[],
  today: string,
): Map<string, number[]> {
  const byFood = new Map<string, number[]>();
  for (const { foodId, gramsOn } of plannedUse({ ...house, groups }, today, HORIZON)) {
    const sum = byFood.get(foodId);
    if (sum) gramsOn.forEach((grams, at) => (sum[at]! += grams));
    else byFood.set(foodId, [...gramsOn]);
  }
  return byFood;
}

/** What the whole house takes of each food, as it is planned: worked out once for all proposals. */
export const houseUse = ({ household, today }: ProposalContext): ReadonlyMap<string, number[]> => {
  const { house } = household.on(today);
  return usageOf(house, house.groups, today);
};

/**
 * Days left of each food of a group whose use another diet moves.
 * @param all what the whole house takes, as it is
 */
export function stockAfter(
  { household, today }: ProposalContext,
  all: ReadonlyMap<string, number[]>,
  group: HouseGroup,
  diet: Diet,
): LeadsTo['stock'] {
  const { house } = household.on(today);
  const dayOf = Array.from({ length: HORIZON }, (_, ahead) => addDays(today, ahead));
  const was = usageOf(house, [group], today);
  const will = usageOf(house, [{ ...group, diet }], today);
  return household.foods.flatMap(({ id, name, lots, keeps }) => {
    const before = all.get(id);
    const own = was.get(id);
    const then = will.get(id);
    if (!before || !own || !then || lots.length === 0) return [];
    if (own.every((grams, at) => grams === then[at])) return [];
    const after = before.map((grams, at) => Math.max(0, grams - own[at]! + then[at]!));
    const lasts = (use: number[]) => daysLeft(lots, use, dayOf, keeps.openedDays).days;
    return [{ foodName: name, before: lasts(before), after: lasts(after) }];
  });
}

/** Where the nitrate of its tank would peak; null where its water is not known. */
export function nitrateAfter(
  { household, today, waters }: ProposalContext,
  group: HouseGroup,
  diet: Diet,
): LeadsTo['nitrate'] {
  const row = waters.get(group.tankId);
  if (!row?.status || row.litres === null) return null;
  const { fit, foodAddsMgL, peakMgL, cap } = row.status;
  const { house } = household.on(today);
  const protein = new Map(household.foods.map((food) => [food.id, food.composition.protein]));
  const dailyMg = (one: HouseGroup) =>
    plannedUse({ ...house, groups: [one] }, today, CYCLES_DAYS).reduce(
      (sum, { foodId, gramsOn }) =>
        sum +
        nitrogenMg(
          gramsOn.reduce((all, grams) => all + grams, 0),
          0,
          protein.get(foodId) ?? 0,
          one.stage,
        ),
      0,
    ) / CYCLES_DAYS;
  const moreMgL = ((dailyMg({ ...group, diet }) - dailyMg(group)) * NITRATE_PER_N) / row.litres;
  const rhythm =
    household.tanksOn(today).find(({ id }) => id === group.tankId)?.plan?.water ?? USUAL_RHYTHM;
  const adds = Math.max(0, fit.production * (foodAddsMgL + moreMgL) - fit.uptakeMgL);
  return { before: peakMgL, after: peakOf(adds, rhythm), capMgL: cap?.mgL ?? null };
}
