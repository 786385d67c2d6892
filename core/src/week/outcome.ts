import { addDays, compileRound, type Rest } from '../round';
import { NITRATE_PER_N, nitrogenOfProtein, PROTEIN_PER_N } from '../water/nitrogen';
import { daySpan, dropsBefore, dropsOf, eatenOf, type Drop, type Eaten } from '../zones';
import { tankOf, cycleOf, type WeekTask } from './task';
import { workOf } from './work';

/** What one group gets on one day. */
export interface GroupOutcome {
  rest: Rest;
  /** Energy needed; 0 on a day of rest. */
  needKj: number;
  /** Energy that reaches it, what it grazes included. */
  gotKj: number;
  /** Of that, grazed: off glass and wood, and off what stood from the days before. */
  grazedKj: number;
  /** Energy by food, in the order of the task's foods, the film last. */
  kj: number[];
}

export interface DayOutcome {
  /** YYYY-MM-DD */
  day: string;
  drops: Drop[];
  groups: GroupOutcome[];
  servedG: number;
  /** Dissolved, lifted or left, grams as fed. */
  wasteG: number;
  /** Nitrogen that goes into the water, mg. */
  nitrogenMg: number;
  /** What the food of the day costs, minor units; what has no price counts nothing. */
  costMinor: number;
  /** Minutes of work by moment, by its id. */
  workMin: Record<string, number>;
  /** Share of each drop that reaches each group: by drop, then group, of its grams. */
  reaches: number[][];
  /** Minutes until each drop is gone; null where more than a twentieth stays. */
  clearedMin: (number | null)[];
  /** By group: what its stomachs hold at the end, as a share. */
  fill: number[];
}

/** What a plan comes to over one cycle, simulated. */
export interface WeekOutcome {
  days: DayOutcome[];
}

/** What was simulated of one tank, its groups and foods: two days alike are simulated once. */
export interface Memory {
  days: Map<string, Eaten>;
  /** A rough look: a longer step, and stomachs that begin as they did in another plan. */
  rough?: { fill: readonly number[] };
}

export const newMemory = (rough?: Memory['rough']): Memory => ({ days: new Map(), rough });

/** A week needs shares, not frames: the longer step moves them by about a per cent. */
const STEP_SCALE = { usual: 3, rough: 9 };

/**
 * Simulate a plan over one cycle.
 * @param memory what was simulated before, of the same tank, groups and foods; added to
 * @param onDay  called after each day; answering false stops there
 */
export function weekOutcome(
  task: WeekTask,
  memory: Memory = newMemory(),
  onDay: (done: number, of: number) => boolean = () => true,
): WeekOutcome {
  const days: DayOutcome[] = [];
  const length = cycleOf(task);
  for (let at = 0; at < length; at += 1) {
    days.push(dayOutcome(task, addDays(task.first, at), memory));
    if (!onDay(at + 1, length)) break;
  }
  return { days };
}

/** Simulate one day of a plan. */
export function dayOutcome(task: WeekTask, day: string, memory: Memory = newMemory()): DayOutcome {
  const tank = tankOf(task);
  const round = compileRound(task.house, day);
  const drops = dropsOf(round, tank.id);
  const before = dropsBefore(task.house, tank.id, task.foods, day);
  const eaten = remembered(task, drops, before, memory);
  const price = new Map(task.shelf.map((food) => [food.foodId, food.pricePerG ?? 0]));
  const protein = new Map(task.foods.map((food) => [food.id, food.composition.protein]));
  const byGroup = (at: number) => eaten.reaches[at]!.map((share) => share * drops[at]!.massG);
  const eatenG = drops.map((_, at) => byGroup(at).reduce((sum, grams) => sum + grams, 0));
  // What stays in is not lost yet: that is counted on the day on which it rots or is lifted.
  const wasted = (at: number) => Math.max(0, drops[at]!.massG - eatenG[at]! - eaten.stayingG[at]!);
  /** Of what each group ate of a food, and of what rots. */
  const nitrogenG = (foodId: string, eatG: readonly number[], rotsG: number) =>
    (protein.get(foodId) ?? 0) *
    eatG.reduce(
      (sum, grams, f) => sum + grams * nitrogenOfProtein(task.groups[f]!.stage),
      rotsG / PROTEIN_PER_N,
    );
  const dayOf = new Map(round.groups.map((one) => [one.group.id, one]));
  return {
    day,
    drops,
    groups: task.groups.map((group, f) => {
      const planned = dayOf.get(group.id);
      const rest = planned ? planned.rest : 'empty';
      const kj = eaten.kj[f]!;
      return {
        rest,
        needKj: rest === null && planned ? planned.needKj.value : 0,
        gotKj: kj.reduce((sum, part) => sum + part, 0),
        grazedKj: kj.at(-1)! + eaten.stoodKj[f]!,
        kj,
      };
    }),
    servedG: drops.reduce((sum, drop) => sum + drop.massG, 0),
    wasteG:
      drops.reduce((sum, _drop, at) => sum + wasted(at), 0) +
      eaten.stood.reduce((sum, { lostG, liftedG }) => sum + lostG + liftedG, 0),
    nitrogenMg:
      1000 *
      (drops.reduce((sum, { foodId }, at) => {
        // What was lifted out does not rot: it counts as neither.
        const rots = Math.max(0, wasted(at) - eaten.liftedG[at]!);
        return sum + nitrogenG(foodId, byGroup(at), rots);
      }, 0) +
        eaten.stood.reduce((sum, one) => sum + nitrogenG(one.foodId, one.eatenG, one.lostG), 0)),
    costMinor: drops.reduce((sum, drop) => sum + drop.massG * (price.get(drop.foodId) ?? 0), 0),
    workMin: workOf(round, task.foods),
    reaches: eaten.reaches,
    clearedMin: eaten.clearedMin,
    fill: eaten.fill,
  };
}

/** Nitrate that a day's nitrogen becomes, mg/L. */
export const nitrateOf = (nitrogenMg: number, litres: number): number =>
  (nitrogenMg * NITRATE_PER_N) / litres;

function remembered(
  task: WeekTask,
  drops: readonly Drop[],
  before: readonly (readonly Drop[])[],
  memory: Memory,
): Eaten {
  const key = JSON.stringify(
    [drops, ...before].map((of) =>
      of.map(({ foodId, groupId, atMin, massG, zone, place, manner }) => [
        foodId,
        manner.apart ? groupId : '',
        atMin,
        massG,
        zone,
        place,
        manner,
      ]),
    ),
  );
  const known = memory.days.get(key);
  if (known) return known;
  const span = daySpan(task.tank.light, drops);
  const eaten = eatenOf(
    { tank: task.tank, groups: task.groups, foods: task.foods, drops, before, ...span },
    memory.rough
      ? { stepScale: STEP_SCALE.rough, fill: memory.rough.fill }
      : { stepScale: STEP_SCALE.usual },
  );
  memory.days.set(key, eaten);
  return eaten;
}
