import { group } from 'd3-array';
import type { CultureKind } from '@open-larder/catalogue/cultures';
import type { BroodRow, FoodRow } from '@open-larder/contract';
import {
  GIVES_NOTHING,
  HATCH_SHARE,
  type LiveFood,
  type Supplying,
} from '@open-larder/core/culture';
import type { AppData } from '../store';
import { forecastStartOfRow } from './ahead';
import type { Culture, Cultures } from './useCultures';

/** Live food is wanted at the first meal of the day, or at seven. */
const USUAL_MIN = 420;
/** Of a new vessel, where there is none yet. */
const USUAL_SIZE = { L: 10, dm2: 2, jar: 1 } as const;
const USUAL_C = 22;

export interface Supplied extends LiveFood {
  name: string;
  cultures: Culture[];
  /** Broods whose ladder wants it, by name. */
  wantedBy: string[];
}

/**
 * The live foods of the shelf, each with its vessels and the kind that gives it, and what the ladders of
 * broods want though it is not on the shelf yet.
 */
export function liveFoods(
  data: AppData,
  cultures: Cultures,
  broods: readonly BroodRow[] = [],
): Supplied[] {
  // Young that are a group of their own are in the plan already.
  const wants = broods
    .filter(({ youngGroupId }) => youngGroupId === null)
    .flatMap(({ name, status }) => status.demand.map((one) => ({ name, ...one })))
    .filter(({ kindKey }) => kindKey !== null);
  const shelved = onShelf(data, cultures).map((one) => {
    const mine = wants.filter(({ foodId }) => foodId === one.foodId);
    return { ...one, wantedBy: mine.map(({ name }) => name), broodsG: sumOf(mine) };
  });
  const known = new Set(shelved.map(({ foodId }) => foodId));
  const missing = group(
    wants.filter(({ foodId }) => foodId === null || !known.has(foodId)),
    ({ kindKey }) => kindKey!,
  );
  const handyMin = handyOf(data);
  return [
    ...shelved,
    ...[...missing].flatMap(([kindKey, mine]): Supplied[] => {
      const kind = cultures.kinds.get(kindKey);
      if (!kind) return [];
      return [
        {
          foodId: kindKey,
          name: kind.name,
          cultures: [],
          kind,
          vessels: [],
          fresh: { measure: USUAL_SIZE[kind.measure], tempC: kind.refC ?? USUAL_C },
          hatchShare: HATCH_SHARE,
          wantedAtMin: USUAL_MIN,
          handyMin,
          wantedBy: mine.map(({ name }) => name),
          broodsG: sumOf(mine),
        },
      ];
    }),
  ];
}

const sumOf = (wants: readonly { gramsOn: number[] }[]): number[] =>
  wants.reduce<number[]>(
    (sum, { gramsOn }) => gramsOn.map((grams, day) => grams + (sum[day] ?? 0)),
    [],
  );

const handyOf = ({ moments }: AppData): number[] =>
  moments
    .filter(({ anchor, archived }) => anchor === 'clock' && !archived)
    .map(({ minutes }) => minutes);

function onShelf(data: AppData, cultures: Cultures): Omit<Supplied, 'wantedBy'>[] {
  const given = group(cultures.kept, ({ foodId }) => foodId);
  return data.foods
    .filter(({ id, kind, archived }) => !archived && (kind === 'live' || given.has(id)))
    .map((food) => {
      const mine = given.get(food.id) ?? [];
      const kind = mine[0]?.kind ?? kindGiving(food, cultures.kinds);
      return {
        name: food.name,
        foodId: food.id,
        cultures: mine,
        kind,
        vessels: mine.filter(({ status }) => !GIVES_NOTHING.has(status.state)).map(supplyingOf),
        fresh: {
          measure: mine[0]?.measure ?? (kind ? USUAL_SIZE[kind.measure] : 1),
          tempC: mine[0]?.tempC ?? kind?.refC ?? USUAL_C,
        },
        hatchShare: mine.find(({ hatch }) => hatch)?.hatch?.share ?? HATCH_SHARE,
        wantedAtMin: firstMeal(food, data),
        handyMin: handyOf(data),
      };
    });
}

const supplyingOf = (culture: Culture): Supplying => ({
  ...forecastStartOfRow(culture),
  id: culture.id,
  startsOn: 0,
  tempOn: culture.status.tempAhead,
});

function kindGiving({ copiedFrom }: FoodRow, kinds: Cultures['kinds']): CultureKind | null {
  return [...kinds.values()].find(({ foodKey }) => foodKey === copiedFrom) ?? null;
}

function firstMeal(food: FoodRow, { groups, moments }: AppData): number {
  const wanted = new Set(
    groups.flatMap(({ diet }) =>
      (diet?.servings ?? []).filter(({ foodId }) => foodId === food.id).map((one) => one.momentId),
    ),
  );
  const minutes = moments
    .filter(({ id, anchor }) => wanted.has(id) && anchor === 'clock')
    .map((moment) => moment.minutes);
  return minutes.length > 0 ? Math.min(...minutes) : USUAL_MIN;
}
