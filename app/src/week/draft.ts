import type { Group, PlanEdit, Tank } from '@open-larder/contract';
import { NO_PLAN, PLAIN, type DietServing } from '@open-larder/core/round';
import { put } from '@open-larder/core/week';

/** A tank's plan and diets as they were saved last, ready to be edited. */
export function draftOf(tank: Tank, groups: readonly Group[]): PlanEdit {
  const { plan } = tank;
  return {
    version: plan?.version ?? 0,
    cycle: plan?.cycle ?? NO_PLAN.cycle,
    feedingStyle: plan?.feedingStyle ?? null,
    fasts: plan?.fasts ?? [],
    water: plan?.water ?? null,
    pins: plan?.pins ?? null,
    periods: plan?.periods ?? null,
    diets: groups.map((group) => ({
      groupId: group.id,
      version: group.diet?.version ?? 0,
      fastWeekdays: group.diet?.fastWeekdays ?? [],
      goalFactor: group.diet?.goalFactor ?? null,
      servings: group.diet?.servings ?? [],
      rules: group.diet?.rules ?? [],
    })),
  };
}

/** A draft for the groups that live in the tank now: others went, and new ones came. */
export function fitted(draft: PlanEdit, saved: PlanEdit): PlanEdit {
  const here = new Set(saved.diets.map((diet) => diet.groupId));
  return {
    ...draft,
    fasts: draft.fasts.filter((fast) => fast.groupId === null || here.has(fast.groupId)),
    diets: saved.diets.map(
      (diet) => draft.diets.find((one) => one.groupId === diet.groupId) ?? diet,
    ),
  };
}

/** The same draft over what was saved by someone else in between. */
export const rebased = (draft: PlanEdit, saved: PlanEdit): PlanEdit => ({
  ...fitted(draft, saved),
  version: saved.version,
  diets: fitted(draft, saved).diets.map((diet) => ({
    ...diet,
    version: saved.diets.find((one) => one.groupId === diet.groupId)?.version ?? diet.version,
  })),
});

/** What is sent: the plan, and only those diets that changed. */
export function toSend(draft: PlanEdit, saved: PlanEdit): PlanEdit {
  const before = new Map(saved.diets.map((diet) => [diet.groupId, JSON.stringify(bare(diet))]));
  return {
    ...draft,
    diets: draft.diets.filter((diet) => JSON.stringify(bare(diet)) !== before.get(diet.groupId)),
  };
}

const bare = ({ version: _, ...diet }: PlanEdit['diets'][number]) => diet;

/** Whether two drafts say the same, whatever their versions. */
export function sameDraft(one: PlanEdit, other: PlanEdit): boolean {
  const said = ({ version: _, diets, ...plan }: PlanEdit) =>
    JSON.stringify([plan, diets.map(bare)]);
  return said(one) === said(other);
}

/** Servings of one group changed. */
export const withServings = (
  draft: PlanEdit,
  groupId: string,
  change: (servings: PlanEdit['diets'][number]['servings']) => readonly unknown[],
): PlanEdit => ({
  ...draft,
  diets: draft.diets.map((diet) =>
    diet.groupId === groupId
      ? { ...diet, servings: change(diet.servings) as typeof diet.servings }
      : diet,
  ),
});

export const NO_PINS = { groups: [], foods: [], moments: [], servings: [] };

/** What stays as the keeper has it, as far as anything does. */
export const pinsAs = (pins: NonNullable<PlanEdit['pins']>): PlanEdit['pins'] =>
  Object.values(pins).every((ids) => ids.length === 0) ? null : pins;

/** A serving that stays as it is when the plan is balanced, or no longer. */
export function pinned(draft: PlanEdit, servingId: string, on: boolean): PlanEdit {
  const pins = draft.pins ?? NO_PINS;
  const others = pins.servings.filter((id) => id !== servingId);
  return { ...draft, pins: pinsAs({ ...pins, servings: on ? [...others, servingId] : others }) };
}

/** The tank and its groups as they would be with the draft saved. */
export function drafted(
  draft: PlanEdit,
  tank: Tank,
  groups: readonly Group[],
  day: string,
): { tank: Tank; groups: Group[] } {
  const { diets, ...plan } = draft;
  return {
    tank: { ...tank, plan: { ...plan, validFrom: day } },
    groups: groups.map((group) => {
      const diet = diets.find((one) => one.groupId === group.id);
      if (!diet || (group.diet === null && diet.servings.length === 0)) return group;
      const { groupId: _, ...fields } = diet;
      return { ...group, diet: { ...fields, validFrom: day } };
    }),
  };
}

/** A draft with a food put in for a group on days of the cycle, in the way it gets its others. */
export const withFood = (
  draft: PlanEdit,
  group: { id: string; species: { zone: DietServing['zone'] } },
  food: { foodId: string; momentId: string; days: readonly number[] },
  newId: () => string,
): PlanEdit =>
  withServings(draft, group.id, (servings) =>
    put(
      servings,
      {
        foodId: food.foodId,
        momentId: food.momentId,
        zone: servings[0]?.zone ?? group.species.zone,
        place: servings[0]?.place ?? '',
        weight: 1,
        ownUnits: null,
        manner: PLAIN,
      },
      food.days,
      newId,
    ),
  );
