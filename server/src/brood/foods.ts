import type { CultureKind } from '@open-larder/catalogue/cultures';
import type { Catalogue } from '@open-larder/catalogue/load';
import { fieldsOfGeneric, unitOf, type FoodRow, type VesselRow } from '@open-larder/contract';
import type { BroodFood } from '@open-larder/core/brood';
import { GIVES_NOTHING, wayOf } from '@open-larder/core/culture';
import { sum } from 'd3-array';

/** Kinds that anyone can start for a brood, though none is kept. */
const STARTABLE = new Set(['infusoria', 'brine-shrimp']);
/** Kinds that are no food for young fish: too small to be seen by them, grown as a film, or plants. */
const NONE: ReadonlySet<string> = new Set(['green-water', 'green-stones', 'floating-plants']);
/** Of a culture that is to be started: its size and warmth. */
const USUAL_SIZE = { L: 10, dm2: 2, jar: 1 } as const;
const USUAL_C = 22;
const UM_PER_MM = 1000;

/** What a household can give to young fish: from its cultures, its shelf, and what it could start. */
export function foodsForBroods(
  catalogue: Catalogue,
  foods: readonly FoodRow[],
  vessels: readonly VesselRow[],
): BroodFood[] {
  const shelf = foods.filter(({ archived }) => !archived);
  const live = catalogue.cultures.flatMap((kind) => liveFood(catalogue, kind, shelf, vessels));
  const bought = shelf.flatMap((food): BroodFood[] => {
    const { particleMinMm: low, particleMaxMm: high } = food.inWater;
    if (food.kind === 'live' || food.kind === 'mix' || food.remainingG <= 0) return [];
    if (low === null || high === null) return [];
    return [
      {
        key: food.id,
        name: food.name,
        minUm: low * UM_PER_MM,
        maxUm: high * UM_PER_MM,
        live: false,
        composition: food.composition,
        plantShare: food.plantShare,
        animalUg: null,
        unit: unitOf(food, null),
        kindKey: null,
        foodId: food.id,
        there: true,
        leadDays: 0,
        gives: null,
      },
    ];
  });
  return [...live, ...bought];
}

function liveFood(
  catalogue: Catalogue,
  kind: CultureKind,
  shelf: readonly FoodRow[],
  vessels: readonly VesselRow[],
): BroodFood[] {
  if (NONE.has(kind.key)) return [];
  const mine = vessels.filter(
    ({ kindKey, status }) => kindKey === kind.key && status.state !== 'ended',
  );
  if (mine.length === 0 && !STARTABLE.has(kind.key)) return [];
  const generic = catalogue.foods.find(({ key }) => key === kind.foodKey);
  const food =
    shelf.find(({ id }) => mine.some(({ foodId }) => foodId === id)) ??
    shelf.find(({ copiedFrom }) => copiedFrom === kind.foodKey);
  const report = food ?? (generic ? fieldsOfGeneric(generic) : null);
  if (!report) return [];
  const gives = mine.some(
    ({ status }) => !GIVES_NOTHING.has(status.state) && status.state !== 'building',
  );
  return [
    {
      key: kind.key,
      name: kind.name,
      minUm: kind.sizeMinUm,
      maxUm: kind.sizeMaxUm,
      live: true,
      composition: report.composition,
      plantShare: report.plantShare,
      animalUg: kind.animalUg,
      unit: unitOf({ weighings: [], ...report }, null),
      kindKey: kind.key,
      foodId: food?.id ?? null,
      there: gives || (food?.remainingG ?? 0) > 0,
      leadDays: leadDaysOf(kind),
      gives: {
        todayG: sum(mine, ({ status }) => status.givesG) + (food?.remainingG ?? 0),
        lastingG: sum(mine, ({ status }) => Math.max(0, status.lastingG)),
      },
    },
  ];
}

const leadDaysOf = (kind: CultureKind): number =>
  wayOf(kind).leadDays(kind, USUAL_SIZE[kind.measure], kind.refC ?? USUAL_C);
