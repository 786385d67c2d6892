import type { CultureKind } from '@open-larder/catalogue/cultures';
import type { FoodRow } from '@open-larder/contract';
import {
  GIVES_NOTHING,
  HATCH_SHARE,
  type LiveFood,
  type Supplying,
} from '@open-larder/core/culture';
import type { HouseData } from '../store';
import { standingOfRow } from './ahead';
import type { Culture, Cultures } from './useCultures';

/** Live food is wanted at the first meal of the day, or at seven. */
const USUAL_MIN = 420;
/** Of a new vessel, where there is none yet. */
const USUAL_SIZE = { L: 10, dm2: 2, jar: 1 } as const;
const USUAL_C = 22;

export interface Supplied extends LiveFood {
  food: FoodRow;
  cultures: Culture[];
}

/** The live foods of the shelf, each with its vessels and the kind that gives it. */
export function liveFoods(data: HouseData, cultures: Cultures): Supplied[] {
  const given = new Map<string, Culture[]>();
  for (const culture of cultures.kept) {
    if (culture.foodId === null) continue;
    given.set(culture.foodId, [...(given.get(culture.foodId) ?? []), culture]);
  }
  return data.foods
    .filter(({ id, kind, archived }) => !archived && (kind === 'live' || given.has(id)))
    .map((food): Supplied => {
      const mine = given.get(food.id) ?? [];
      const kind = mine[0]?.kind ?? kindGiving(food, cultures.kinds);
      return {
        food,
        foodId: food.id,
        cultures: mine,
        kind,
        vessels: mine.filter(({ stand }) => !GIVES_NOTHING.has(stand.state)).map(supplyingOf),
        fresh: {
          measure: mine[0]?.measure ?? (kind ? USUAL_SIZE[kind.measure] : 1),
          tempC: mine[0]?.tempC ?? kind?.refC ?? USUAL_C,
        },
        hatchShare: mine.find(({ hatch }) => hatch)?.hatch?.share ?? HATCH_SHARE,
        wantedAtMin: firstMeal(food, data),
        handyMin: data.moments
          .filter(({ anchor, archived }) => anchor === 'clock' && !archived)
          .map(({ minutes }) => minutes),
      };
    });
}

const supplyingOf = (culture: Culture): Supplying => ({
  ...standingOfRow(culture),
  id: culture.id,
  startsOn: 0,
  tempOn: culture.stand.tempAhead,
});

function kindGiving({ copiedFrom }: FoodRow, kinds: Cultures['kinds']): CultureKind | null {
  return [...kinds.values()].find(({ foodKey }) => foodKey === copiedFrom) ?? null;
}

function firstMeal(food: FoodRow, { groups, moments }: HouseData): number {
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
