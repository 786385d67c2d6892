import type { NameMatch } from '@open-larder/catalogue/search';
import type { UnitChoice } from '@open-larder/core/units';
import { groupFacts, type GroupFacts } from './groupFacts';
import { linesOf } from './pieces';
import { tankFacts, type TankFacts } from './tankFacts';

/** The row that a name means, by all the names it has. */
export type Named = (name: string) => NameMatch;

export interface Names {
  species: Named;
  foods: Named;
  /** Tanks that are there already, by name. */
  tanks: ReadonlyMap<string, string>;
}

/** A tank with what was said of it and the fish in it; one that is there already has its id. */
export interface TankEntry {
  id: string | null;
  name: string | null;
  facts: TankFacts;
  groups: GroupEntry[];
}
export interface GroupEntry extends Omit<GroupFacts, 'name'> {
  /** As it was typed. */
  text: string;
  speciesKey: string;
  /** Whether the name is one of its own; otherwise it is only near one. */
  exact: boolean;
}
export interface FoodEntry {
  text: string;
  foodKey: string;
  exact: boolean;
}

/** What a keeper has, as it was typed: tanks, their fish, foods, and what was not understood. */
export interface Inventory {
  tanks: TankEntry[];
  foods: FoodEntry[];
  unread: string[];
}

/**
 * Read what a keeper types, pastes or dictates of what is there: «90 l, 25°, planted, lights 14–22»,
 * «24 harlequins 3 cm, 8 panda corys», «flake, frozen bloodworm». A number begins a group, a size begins
 * a tank, and what is neither is looked for among foods, then among species.
 * @param text  lines or one line, in the keeper's words
 * @param units in which a bare number is meant
 */
export function readInventory(text: string, names: Names, units: UnitChoice): Inventory {
  const found: Inventory = { tanks: [], foods: [], unread: [] };
  const newTank = (name: string | null, id: string | null = null) => {
    const tank: TankEntry = { id, name, facts: {}, groups: [] };
    found.tanks.push(tank);
    return tank;
  };
  const here = () => found.tanks.at(-1) ?? newTank(null);
  const tell = (facts: TankFacts) => {
    const sized = ({ litres, lengthCm }: TankFacts) =>
      litres !== undefined || lengthCm !== undefined;
    const last = found.tanks.at(-1);
    // A second size is that of another tank.
    const tank = last && !(sized(last.facts) && sized(facts)) ? last : newTank(null);
    tank.facts = { ...tank.facts, ...facts };
  };

  const read = (piece: string): boolean => {
    const { facts, rest } = tankFacts(piece, units);
    const told = Object.keys(facts).length > 0;
    if (told && rest === '') {
      tell(facts);
      return true;
    }
    const { name, ...group } = groupFacts(piece, units);
    const species = name === '' ? null : names.species(name);
    if (species && group.count !== null) {
      here().groups.push({ ...group, text: piece, speciesKey: species.key, exact: species.exact });
      return true;
    }
    const food = names.foods(piece) ?? null;
    if (species && (species.exact || !food) && !food?.exact) {
      here().groups.push({ ...group, text: piece, speciesKey: species.key, exact: species.exact });
      return true;
    }
    if (food && group.count === null) {
      found.foods.push({ text: piece, foodKey: food.key, exact: food.exact });
      return true;
    }
    if (!told || rest === piece) return false;
    // Of two things in one piece each is read by itself: «90 l planted 24 harlequins».
    tell(facts);
    return read(rest);
  };

  for (const { name, pieces } of linesOf(text)) {
    if (name !== null && !/^(?:foods?|fish|shelf|larder|tank)$/iu.test(name)) {
      const id = names.tanks.get(name.toLowerCase()) ?? null;
      newTank(name, id);
    }
    for (const piece of pieces) if (!read(piece)) found.unread.push(piece);
  }
  return {
    ...found,
    foods: found.foods.filter(
      ({ foodKey }, at, all) => all.findIndex((one) => one.foodKey === foodKey) === at,
    ),
  };
}
