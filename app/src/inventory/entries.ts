import { foodNamed, speciesNamed } from '@open-larder/catalogue/search';
import {
  blankTank,
  fieldsOfGeneric,
  type CatalogueView,
  type InventoryCreate,
  type MomentRow,
} from '@open-larder/contract';
import { assumedLengthCm } from '@open-larder/core/fish';
import { usualPlace } from '@open-larder/core/stock';
import { upperFirst } from '../ui/firstLetter';
import {
  readInventory,
  type FoodEntry,
  type GroupEntry,
  type Names,
  type TankEntry,
} from '@open-larder/say/inventory';
import type { AppData } from '../store';

/** What a keeper corrected of what was read: by what was typed, so that it stays while more is typed. */
export interface Corrections {
  tanks: Readonly<Record<number, TankEntry['facts'] & { name?: string }>>;
  groups: Readonly<Record<string, Partial<GroupEntry> | null>>;
  foods: Readonly<Record<string, string | null>>;
  /** What was not understood, and is a species or a food after all. */
  meant: Readonly<Record<string, { speciesKey: string } | { foodKey: string } | null>>;
}
export const NO_CORRECTIONS: Corrections = { tanks: {}, groups: {}, foods: {}, meant: {} };

/** What was read and corrected: what will be made of it. */
export interface Entries {
  tanks: TankEntry[];
  foods: FoodEntry[];
  unread: string[];
}

type Named = Pick<AppData, 'species' | 'tanks'> & { foods: CatalogueView['foods'] };

/** The names by which things are found: those of the catalogue, and of the tanks that are there. */
export const namesFrom = ({ species, tanks, foods }: Named): Names => ({
  species: speciesNamed([...species.values()]),
  foods: foodNamed(foods),
  tanks: new Map(
    tanks.filter(({ archived }) => !archived).map(({ name, id }) => [name.toLowerCase(), id]),
  ),
});

/**
 * What was typed, read and corrected.
 * @param picked foods that were tapped rather than typed
 * @param into   the tank that fish go to where no tank is named; null begins a new one
 */
export function entriesOf(
  text: string,
  names: Names,
  units: Parameters<typeof readInventory>[2],
  corrections: Corrections,
  picked: readonly string[],
  into: string | null,
): Entries {
  const read = readInventory(text, names, units);
  const foods = read.foods.flatMap((one) => {
    const meant = corrections.foods[one.text];
    return meant === null ? [] : [{ ...one, foodKey: meant ?? one.foodKey, exact: meant ? true : one.exact }]; // prettier-ignore
  });
  const tanks = read.tanks.map((tank, at) => {
    const { name, ...facts } = corrections.tanks[at] ?? {};
    return {
      ...tank,
      id: tank.id ?? (tank.name === null && Object.keys(tank.facts).length === 0 ? into : null),
      name: name ?? tank.name,
      facts: { ...tank.facts, ...facts },
      groups: tank.groups.flatMap((group) => {
        const said = corrections.groups[group.text];
        return said === null ? [] : [{ ...group, ...said }];
      }),
    };
  });
  const unread: string[] = [];
  for (const piece of read.unread) {
    const meant = corrections.meant[piece];
    if (meant === undefined) unread.push(piece);
    else if (meant && 'foodKey' in meant)
      foods.push({ text: piece, foodKey: meant.foodKey, exact: true }); // prettier-ignore
    else if (meant) {
      const home = tanks.at(-1) ?? { id: into, name: null, facts: {}, groups: [] };
      if (tanks.length === 0) tanks.push(home);
      const count = Number(/\d+/.exec(piece)?.[0]) || null;
      const said = corrections.groups[piece];
      if (said !== null) {
        home.groups.push({ text: piece, speciesKey: meant.speciesKey, exact: true, count, males: 0, females: 0, lengthCm: null, stage: null, ...said }); // prettier-ignore
      }
    }
  }
  for (const foodKey of picked) {
    if (!foods.some((one) => one.foodKey === foodKey))
      foods.push({ text: '', foodKey, exact: true });
  }
  return { tanks, foods, unread };
}

/** What is still to be said before anything can be made: one question after the other. */
export type Question =
  { is: 'size'; tank: number } | { is: 'count'; text: string; speciesKey: string } | null;

export function questionIn({ tanks }: Entries): Question {
  for (const [at, { id, facts, groups }] of tanks.entries()) {
    if (id === null && facts.litres === undefined && facts.heightCm === undefined) {
      return { is: 'size', tank: at };
    }
    const unsaid = groups.find(({ count }) => !count);
    if (unsaid) return { is: 'count', text: unsaid.text, speciesKey: unsaid.speciesKey };
  }
  return null;
}

/**
 * Grams of a food that is there, where the amount was not typed: about what a new pack holds. Practice; to
 * be counted or weighed.
 */
const PACK_G = { dry: 40, gel: 100, frozen: 100, fresh: 100, mix: 50, live: 20 } as const;
/** °C of a tank without a heater, in a lived-in room. Assumption. */
const ROOM_C = 20;

interface Making {
  data: Pick<AppData, 'species' | 'tanks' | 'foods'>;
  generic: CatalogueView['foods'];
  today: string;
  id: string;
  /** The id of a thing that is made, the same however often it is sent. */
  idOf: (name: string) => string;
  /** «90 L» */
  formatSize: (litres: number) => string;
}

/** What is sent, and what of it was assumed rather than said. */
export interface Made {
  body: InventoryCreate;
  assumed: Assumed[];
}

/** One thing that was assumed, and where it is put right. */
export type Assumed =
  | { is: 'warmth'; tankId: string; tankName: string; tempC: number; because: 'fish' | 'room' }
  | { is: 'lights'; tankId: string; tankName: string; onMin: number; offMin: number }
  | { is: 'moment'; moment: MomentRow }
  | { is: 'length'; groupId: string; groupName: string; lengthCm: number }
  | { is: 'pack'; foodId: string; foodName: string; amountG: number };

export function makingOf(
  entries: Entries,
  { data, generic, today, id, idOf, formatSize }: Making,
): Made {
  const assumed: Assumed[] = [];
  const taken = new Set(data.tanks.map(({ name }) => name));
  const first = Math.max(0, ...data.tanks.map(({ walkOrder }) => walkOrder)) + 1;
  const body: InventoryCreate = { id, tanks: [], groups: [], foods: [] };
  for (const [at, { id: known, name, facts, groups }] of entries.tanks.entries()) {
    let tankId = known;
    if (tankId === null) {
      tankId = idOf(`tank ${at}`);
      const { unheated, ...said } = facts;
      const tankName = freeName(name ?? `${sizeWord(said, formatSize)} tank`, taken);
      taken.add(tankName);
      const tempC = said.tempC ?? (unheated ? ROOM_C : suitedC(groups, data.species));
      body.tanks.push({
        ...blankTank,
        ...said,
        tempC,
        id: tankId,
        name: tankName,
        walkOrder: first + body.tanks.length,
      });
      if (said.tempC === undefined) {
        assumed.push({
          is: 'warmth',
          tankId,
          tankName,
          tempC,
          because: unheated ? 'room' : 'fish',
        });
      }
      if (said.lightOnMin === undefined) {
        const { lightOnMin: onMin, lightOffMin: offMin } = blankTank;
        assumed.push({ is: 'lights', tankId, tankName, onMin, offMin });
      }
    }
    for (const [nth, { speciesKey, count, males, females, lengthCm, stage }] of groups.entries()) {
      const species = data.species.get(speciesKey);
      const all = count ?? 0;
      const groupId = idOf(`group ${at} ${nth} ${speciesKey}`);
      const groupName = species?.common ?? speciesKey;
      const sexed = Math.min(all, males) + Math.min(all - Math.min(all, males), females);
      body.groups.push({
        id: groupId,
        tankId,
        name: upperFirst(groupName).slice(0, 60),
        speciesKey,
        males: Math.min(all, males),
        females: sexed - Math.min(all, males),
        unsexed: all - sexed,
        stage: stage ?? 'adult',
        lengthCm,
        day: today,
        confirmed: false,
      });
      if (lengthCm === null && species) {
        const usual = assumedLengthCm(species, stage ?? 'adult');
        assumed.push({ is: 'length', groupId, groupName, lengthCm: usual });
      }
    }
  }
  const there = new Set(
    data.foods.filter(({ archived }) => !archived).map((one) => one.copiedFrom),
  );
  for (const { foodKey } of entries.foods) {
    const food = generic.find(({ key }) => key === foodKey);
    if (!food || there.has(foodKey)) continue;
    const foodId = idOf(`food ${foodKey}`);
    const amountG = PACK_G[food.kind];
    body.foods.push({
      ...fieldsOfGeneric(food),
      id: foodId,
      lot: {
        id: idOf(`lot ${foodKey}`),
        amountG,
        costMinor: null,
        place: usualPlace(food.kind),
        boughtOn: today,
        openedOn: null,
        bestBefore: null,
      },
    });
    assumed.push({ is: 'pack', foodId, foodName: food.name, amountG });
  }
  return { body, assumed };
}

const sizeWord = (
  { litres, lengthCm, widthCm, heightCm }: TankEntry['facts'],
  formatSize: (litres: number) => string,
) =>
  formatSize(
    Math.round(litres ?? ((lengthCm ?? 0) * (widthCm ?? 0) * (heightCm ?? 0) * 0.9) / 1000),
  );

/** «90 L tank», and «90 L tank 2» where that is there. */
function freeName(name: string, taken: ReadonlySet<string>): string {
  const stem = name.slice(0, 55);
  for (let number = 1; ; number += 1) {
    const free = number === 1 ? stem : `${stem} ${number}`;
    if (!taken.has(free)) return free;
  }
}

/** °C that suits all who live there: the middle of what is best for each, within what all tolerate. */
function suitedC(groups: readonly GroupEntry[], species: AppData['species']): number {
  const there = groups.flatMap(({ speciesKey }) => species.get(speciesKey) ?? []);
  if (there.length === 0) return blankTank.tempC;
  const best = there.reduce((sum, { tempOptC }) => sum + tempOptC, 0) / there.length;
  const low = Math.max(...there.map(({ tempMinC }) => tempMinC));
  const high = Math.min(...there.map(({ tempMaxC }) => tempMaxC));
  return Math.round(2 * (low <= high ? Math.min(high, Math.max(low, best)) : best)) / 2;
}
