import type { ServedRow } from '@open-larder/contract';
import type { FoodFamily } from '@open-larder/catalogue';

/** By what served food is added up. */
export type By = 'pair' | 'food' | 'group' | 'tank';

export interface ServedSum {
  key: string;
  name: string;
  detail: string;
  family: FoodFamily | null;
  /** The group and food of a single line, to look at how it was taken. */
  pair: { groupId: string; foodId: string } | null;
  servings: number;
  skipped: number;
  offeredG: number;
  refusedG: number;
  leftG: number;
  /** What was neither refused nor seen to be left. */
  eatenG: number;
  /** Of what has a price; null where nothing of it has one. */
  costMinor: number | null;
}

const NAMED: Record<
  By,
  (row: ServedRow) => Pick<ServedSum, 'key' | 'name' | 'detail' | 'family' | 'pair'>
> = {
  pair: ({ groupId, foodId, groupName, foodName, tankName, family }) => ({
    key: `${groupId} ${foodId}`,
    name: foodName,
    detail: `${groupName}, ${tankName}`,
    family,
    pair: { groupId, foodId },
  }),
  food: ({ foodId, foodName, family }) => ({
    key: foodId,
    name: foodName,
    detail: '',
    family,
    pair: null,
  }),
  group: ({ groupId, groupName, tankName }) => ({
    key: groupId,
    name: groupName,
    detail: tankName,
    family: null,
    pair: null,
  }),
  tank: ({ tankId, tankName }) => ({
    key: tankId,
    name: tankName,
    detail: '',
    family: null,
    pair: null,
  }),
};

const NOTHING = {
  servings: 0,
  skipped: 0,
  offeredG: 0,
  refusedG: 0,
  leftG: 0,
  eatenG: 0,
  costMinor: null,
};
type Figures = Omit<typeof NOTHING, 'costMinor'> & Pick<ServedSum, 'costMinor'>;

const addCost = (a: number | null, b: number | null): number | null =>
  a === null ? b : a + (b ?? 0);

function added(sum: ServedSum, row: ServedRow): ServedSum {
  return {
    ...sum,
    servings: sum.servings + row.servings,
    skipped: sum.skipped + row.skipped,
    offeredG: sum.offeredG + row.offeredG,
    refusedG: sum.refusedG + row.refusedG,
    leftG: sum.leftG + row.leftG,
    eatenG: sum.eatenG + row.offeredG - row.refusedG - row.leftG,
    costMinor: addCost(sum.costMinor, row.costMinor),
  };
}

/** Served food added up, by its name; lines that say `filter` in any of their names. */
export function sumServed(rows: readonly ServedRow[], by: By, filter: string): ServedSum[] {
  const wanted = filter.trim().toLocaleLowerCase();
  const sums = new Map<string, ServedSum>();
  for (const row of rows) {
    const words = `${row.foodName} ${row.groupName} ${row.tankName}`.toLocaleLowerCase();
    if (!words.includes(wanted)) continue;
    const named = NAMED[by](row);
    const before = sums.get(named.key) ?? { ...NOTHING, ...named };
    sums.set(named.key, added(before, row));
  }
  return [...sums.values()].sort(
    (a, b) => a.name.localeCompare(b.name) || a.detail.localeCompare(b.detail),
  );
}

export const totalOf = (sums: readonly ServedSum[]): Figures =>
  sums.reduce<Figures>(
    (total, sum) => ({
      servings: total.servings + sum.servings,
      skipped: total.skipped + sum.skipped,
      offeredG: total.offeredG + sum.offeredG,
      refusedG: total.refusedG + sum.refusedG,
      leftG: total.leftG + sum.leftG,
      eatenG: total.eatenG + sum.eatenG,
      costMinor: addCost(total.costMinor, sum.costMinor),
    }),
    NOTHING,
  );

/** Share of what was offered that was eaten, %. */
export const eatenShare = ({ eatenG, offeredG }: Pick<Figures, 'eatenG' | 'offeredG'>): number =>
  offeredG > 0 ? (100 * eatenG) / offeredG : 0;
