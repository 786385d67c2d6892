import type { BroodCreate, DietEdit, DietRow, Group, Problem, Tank } from '@open-larder/contract';
import { PLAIN } from '@open-larder/core/round';
import { waterLitres } from '@open-larder/core/tank';
import { api, useHand, useNow, useFormat, type AppData } from '../store';
import { useToast } from '../ui';
import { defaultsOf } from './fields';
import { strategyOf } from './useBroods';
import { formIntent } from '../store/intent';

/** The food that makes the span richer: every other day, at a moment of the day. */
export interface Rich {
  foodId: string;
  momentId: string;
}

/**
 * The serving that a span adds is known again by its group, so that its end can take it out: it has the
 * group’s id with the first part turned over.
 */
const richId = (groupId: string): string =>
  groupId.replace(/^[0-9a-f]{8}/i, (part) =>
    (0xffffffff - Number.parseInt(part, 16)).toString(16).padStart(8, '0'),
  );

const EVERY_OTHER = 2;
const WEEK_DAYS = 7;

/** The richer food as a serving of the week. */
export function servingOf({ id, diet }: Pick<Group, 'id' | 'diet'>, tank: Tank, rich: Rich) {
  const first = (diet as DietRow | null)?.servings[0];
  const cycle = tank.plan?.cycle.days ?? WEEK_DAYS;
  return {
    id: richId(id),
    ...rich,
    zone: first?.zone ?? ('mid' as const),
    place: first?.place ?? '',
    days: Array.from({ length: cycle }, (_, at) => at + 1).filter((day) => day % EVERY_OTHER === 1),
    weight: 1,
    ownUnits: null,
    manner: PLAIN,
  };
}

/** Begin a span of conditioning and end it: the stage, the richer food in the plan, and the line. */
export function useConditioning(data: AppData) {
  const toast = useToast();
  const now = useNow();
  const hand = useHand();
  const format = useFormat();
  const strategies = api.useStrategiesQuery();
  const [begin] = api.useBeginConditioningMutation();
  const [end] = api.useEndConditioningMutation();

  /** Whether it went well; what went wrong is said. */
  const well = (done: { error?: unknown }): boolean => {
    if (done.error) toast((done.error as Problem).detail, { tone: 'error' });
    return !done.error;
  };
  /** The diet with the richer food in it, or without; null where that changes nothing. */
  const dietWith = (group: Group, tank: Tank, rich: Rich | null): DietEdit | null => {
    const diet = group.diet as DietRow | null;
    const id = richId(group.id);
    const others = (diet?.servings ?? []).filter((serving) => serving.id !== id);
    if (rich === null && others.length === (diet?.servings.length ?? 0)) return null;
    return {
      version: diet?.version ?? 0,
      fastWeekdays: diet?.fastWeekdays ?? [],
      goalFactor: diet?.goalFactor ?? null,
      rules: diet?.rules ?? [],
      servings: rich ? [...others, servingOf(group, tank, rich)] : others,
    } as DietEdit;
  };

  return {
    /** @returns the line that it began; null where something went wrong, which is said */
    async begin(group: Group, tank: Tank, days: number, rich: Rich | null): Promise<string | null> {
      const intent = formIntent('conditioning', group.id);
      const { id, at } = intent;
      const [broodId, tubId] = [intent.also('brood'), intent.also('tub')];
      const { name, tempC, ph, filter } = tank;
      const brood: BroodCreate = {
        ...defaultsOf(
          strategyOf(
            strategies.data?.strategies ?? [],
            data.species.get(group.speciesKey)?.breeding,
          ),
        ),
        id: broodId,
        name: `${group.name}, ${format.day(now.day)}`.slice(0, 60),
        speciesKey: group.speciesKey,
        breeding: null,
        tankId: tank.id,
        groupId: group.id,
        youngGroupId: null,
        targetCm: null,
        conditionDays: days,
        checkpoints: [],
        tub: {
          id: tubId,
          name,
          litres: waterLitres(tank)?.value ?? Number.NaN,
          tempC,
          ph,
          filtered: filter !== 'none',
        },
        events: [
          {
            id: intent.also('conditioned'),
            kind: 'conditioned',
            day: now.day,
            at,
            hand,
            note: '',
            tubId,
          },
        ],
      };
      const diet = rich ? dietWith(group, tank, rich) : null;
      const body = { id, groupId: group.id, day: now.day, diet, brood };
      if (!well(await begin({ body }))) return null;
      toast(`${group.name} is conditioned from today: its portions follow.`);
      return broodId;
    },
    async end(group: Group, tank: Tank): Promise<void> {
      const { id } = formIntent('conditioning ends', group.id);
      const body = { id, day: now.day, diet: dietWith(group, tank, null) };
      if (!well(await end({ params: { id: group.id }, body }))) return;
      toast(`${group.name} goes back to its usual meals.`);
    },
  };
}
