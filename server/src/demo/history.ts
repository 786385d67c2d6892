import {
  blankTank,
  fieldsOfGeneric,
  houseOf,
  type DietRow,
  type FoodRow,
  type Group,
  type Tank,
} from '@open-larder/contract';
import {
  PLAIN,
  addDays,
  compileRound,
  drawDown,
  sizeOn,
  toHandUnits,
  usualPlace,
  type RoundServing,
  type SizeEvent,
  type Stage,
  type Round,
} from '@open-larder/core';
import { grewIn, type LifeEvent } from '@open-larder/core/group';
import type { Catalogue } from '@open-larder/catalogue/load';
import { localDay } from '../clock';
import { foodColumns } from '../food/store';
import type { Scope } from '../db';
import type { Chance } from './chance';
import { writeBroodHistory } from './broods';
import { makeKitchen } from './kitchen';
import { lookedLately, seenLately } from './seen';
import { writeLedger } from './ledger';
import { writeWaterHistory } from './water';
import { LIVE_FOODS, liveShelf } from './vessels';
import {
  GROUPS,
  HISTORY_DAYS,
  SHELF,
  TANKS,
  type DemoGroup,
  type DemoTank,
  type MomentKey,
} from './scenario';

interface Told {
  chance: Chance;
  timeZone: string;
  now: Date;
  moments: {
    key: MomentKey;
    id: string;
    name: string;
    anchor: 'clock' | 'lightsOn' | 'lightsOff';
    minutes: number;
    spareMin: number;
    version: number;
    archived: boolean;
  }[];
}

type Row = Record<string, unknown>;

/** Write the demo: tanks, fish, shelf and diets, and eight weeks of servings up to this hour. */
export async function writeHistory(
  scope: Scope,
  catalogue: Catalogue,
  report: Told,
): Promise<void> {
  const today = localDay(report.now, report.timeZone);
  const first = addDays(today, -HISTORY_DAYS);
  const tanks = makeTanks(report, today);
  const foods = makeFoods(catalogue, report, first);
  const kitchen = makeKitchen(foods, report, first);
  const gel = foods.find(({ food }) => food.id === kitchen.gelId) as DemoFood;
  Object.assign(gel.food, kitchen.gelFields);
  Object.assign(gel.row, foodColumns(gel.food));
  const groups = GROUPS.map((group) => makeGroup(group, tanks, foods, report, today));

  await scope.insert(
    'tanks',
    tanks.map((tank) => ({ ...tank })),
  );
  await scope.insert(
    'foods',
    foods.map((food) => food.row),
  );
  const shelved = foods.filter(({ key }) => !LIVE_FOODS.has(key));
  await scope.insert(
    'lots',
    shelved.map((food) => food.lotRow),
  );
  await scope.insert('recipes', [kitchen.recipeRow]);
  await scope.insert('recipe_ingredients', kitchen.ingredientRows);
  await scope.insert('batches', [kitchen.batchRow]);
  await scope.insert('stock_events', [
    ...shelved.filter((food) => food !== gel).map((food) => food.bought),
    ...kitchen.events,
  ]);
  await scope.insert(
    'groups',
    groups.map(({ id, name, speciesKey }) => ({ id, name, speciesKey, version: 1 })),
  );
  await scope.insert(
    'stays',
    groups.map((group) => group.stay),
  );
  await scope.insert(
    'group_events',
    groups.flatMap((group) => group.events),
  );
  await scope.insert(
    'diets',
    groups.map((group) => group.dietRow),
  );
  await scope.insert(
    'diet_servings',
    groups.flatMap((group) => group.servingRows),
  );

  const { feedings, draws, rounds } = serveDays(catalogue, report, {
    tanks,
    foods,
    groups,
    first,
    today,
  });
  for (const batch of inBatches(feedings)) await scope.insert('feedings', batch);
  const live = liveShelf({
    ...report,
    today,
    foodIds: new Map(foods.map(({ key, food }) => [key, food.id])),
    feedings,
  });
  await scope.insert('vessels', live.vessels);
  for (const batch of inBatches(live.events)) await scope.insert('vessel_events', batch);
  for (const batch of inBatches(draws)) await scope.insert('stock_events', batch);
  const broods = writeBroodHistory({ ...report, today, tanks, groups });
  await scope.insert('broods', broods.broods);
  await scope.insert('brood_tubs', broods.tubs);
  await scope.insert('brood_events', broods.events);
  const watched = { ...report, tanks, groups, today };
  await scope.insert('sightings', seenLately(rounds, watched));
  await scope.insert('looks', lookedLately(watched));
  const water = writeWaterHistory({ ...report, today, tanks });
  await scope.insert('tank_plans', water.plans);
  await scope.insert('water_events', water.events);
  await scope.insert('group_events', measuredToo(groups, report, today));
  const foodIds = new Map<string, string>(foods.map(({ key, food }) => [key, food.id]));
  const ledger = writeLedger({ ...report, today, groups, foodIds });
  await scope.insert('trials', ledger.trials);
  await scope.insert('ratings', ledger.ratings);
  await scope.insert('answers', ledger.answers);
}

/** More samples of some groups. */
const measuredToo = (
  groups: readonly { id: string; name: string }[],
  { chance, now }: Told,
  today: string,
): Row[] =>
  GROUPS.flatMap(({ name, alsoMeasured = [] }) =>
    alsoMeasured.map(([daysAgo, lengthCm, lengthsCm]) => ({
      id: chance.id(now),
      groupId: groups.find((group) => group.name === name)!.id,
      kind: 'measured',
      day: addDays(today, -daysAgo),
      note: '',
      lengthCm,
      lengthsCm,
    })),
  );

/** The keeper looked at the glass two days ago; the tanks have run for longer than is reported. */
function makeTanks({ chance, now }: Told, today: string): Tank[] {
  return TANKS.map((tank: DemoTank, index) => ({
    ...blankTank,
    id: chance.id(now),
    name: tank.name,
    kind: tank.kind,
    shape: tank.shape ?? 'box',
    lengthCm: tank.size[0],
    widthCm: tank.size[1],
    heightCm: tank.size[2],
    waterLevelCm: tank.size[3],
    ...tank.furnished,
    tempC: tank.tempC,
    ph: tank.ph,
    gh: tank.gh,
    lightOnMin: tank.light[0],
    lightOffMin: tank.light[1],
    walkOrder: index + 1,
    runsSince: addDays(today, -(tank.runsDays ?? HISTORY_DAYS)),
    film: tank.film ?? null,
    filmOn: tank.film ? addDays(today, -2) : null,
    version: 1,
    archived: false,
    plan: null,
    lastTemp: null,
  }));
}

function makeFoods(catalogue: Catalogue, { chance, now }: Told, first: string) {
  return Object.entries(SHELF).map(([key, stock]) => {
    const generic = catalogue.foods.find((food) => food.key === key);
    if (!generic) throw new Error(`the demo names a food that the catalogue lacks: ${key}`);
    const id = chance.id(now);
    const lotId = chance.id(now);
    const fields = fieldsOfGeneric(generic);
    const openedDays = stock.opened === undefined ? fields.keeps.openedDays : stock.opened;
    const keeps = { ...fields.keeps, openedDays };
    const own = { ...fields, keeps, steps: stock.steps ?? fields.steps };
    const food: FoodRow = {
      id,
      ...own,
      version: 1,
      archived: false,
      lots: [],
      weighings: [],
      remainingG: stock.amountG,
    };
    return {
      key,
      food,
      lot: { id: lotId, remainingG: stock.amountG, openedOn: first, bestBefore: null },
      row: { ...foodColumns(own), id, version: 1, archived: false } as Row,
      lotRow: {
        id: lotId,
        foodId: id,
        amountG: stock.amountG,
        costMinor: stock.costMinor,
        place: stock.place ?? usualPlace(generic.kind),
        boughtOn: first,
        openedOn: first,
        bestBefore: addDays(first, stock.keeps),
        version: 1,
      },
      bought: { id: chance.id(now), lotId, kind: 'bought', deltaG: stock.amountG, day: first },
    };
  });
}

type DemoFood = ReturnType<typeof makeFoods>[number];

function makeGroup(
  demo: DemoGroup,
  tanks: readonly Tank[],
  foods: readonly DemoFood[],
  { chance, now, moments }: Told,
  today: string,
) {
  const id = chance.id(now);
  const arrival = addDays(today, -(demo.daysAgo ?? HISTORY_DAYS));
  const tankId = (tanks.find((tank) => tank.name === demo.tank) as Tank).id;
  const at = (daysAgo: number, event: Row): Row & { day: string } => ({
    id: chance.id(now),
    groupId: id,
    day: addDays(today, -daysAgo),
    ...event,
  });
  const { males, females, unsexed } = demo;
  const since = demo.daysAgo ?? HISTORY_DAYS;
  const events = [
    at(since, { kind: 'moved', tankId }),
    at(since, { kind: 'arrived', males, females, unsexed }),
    at(since, { kind: 'staged', stage: demo.stage }),
    ...(demo.stages ?? []).map(([daysAgo, stage]) => at(daysAgo, { kind: 'staged', stage })),
    ...demo.lengths.map(([daysAgo, lengthCm, lengthsCm = null]) =>
      at(daysAgo, { kind: 'measured', lengthCm, lengthsCm }),
    ),
    ...(demo.losses ?? []).map(([daysAgo, lost, cause]) =>
      at(daysAgo, { kind: 'died', cause, males: 0, females: 0, unsexed: lost }),
    ),
  ].sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0));
  const servings = demo.servings.map((serving) => ({
    id: chance.id(now),
    foodId: (foods.find((food) => food.key === serving.food) as DemoFood).food.id,
    momentId: (moments.find((moment) => moment.key === serving.moment) as { id: string }).id,
    zone: serving.zone,
    place: serving.place,
    days: serving.weekdays ?? [1, 2, 3, 4, 5, 6, 7],
    weight: serving.weight ?? 1,
    ownUnits: null,
    manner: PLAIN,
  }));
  const diet: DietRow = {
    version: 1,
    validFrom: arrival,
    fastWeekdays: demo.fastWeekdays,
    goalFactor: null,
    servings,
    rules: [],
  };
  return {
    demo,
    id,
    name: demo.name,
    speciesKey: demo.species,
    tankId,
    arrival,
    events,
    diet,
    stay: { id: chance.id(now), groupId: id, tankId, during: [arrival, null] },
    dietRow: { ...diet, groupId: id, servings: undefined },
    servingRows: servings.map((serving, position) => ({
      ...serving,
      groupId: id,
      version: 1,
      position,
    })),
  };
}

type MadeGroup = ReturnType<typeof makeGroup>;

function groupOn(
  { demo, id, name, speciesKey, tankId, events, diet }: MadeGroup,
  day: string,
): Group {
  const past = events.filter((event) => event.day <= day);
  const last = (kind: string) => past.findLast((event) => event.kind === kind);
  return {
    id,
    name,
    speciesKey,
    tankId,
    version: 1,
    archived: false,
    stage: (last('staged')?.stage as Stage | undefined) ?? demo.stage,
    lengthCm: (last('measured')?.lengthCm as number | undefined) ?? null,
    belly: null,
    eats: [],
    bornOn: null,
    checkpoints: [],
    grew: grewIn(past as unknown as LifeEvent[]),
    training: null,
    lastOn: Object.fromEntries(past.map((event) => [event.kind, event.day])),
    size: sizeOn(past.filter((event) => 'unsexed' in event) as unknown as SizeEvent[], day),
    diet,
  };
}

interface Stage0 {
  tanks: Tank[];
  foods: DemoFood[];
  groups: MadeGroup[];
  first: string;
  today: string;
}

/** Serve every day of the history as a keeper would: mostly as planned, now and then not. */
function serveDays(catalogue: Catalogue, report: Told, stage: Stage0) {
  const species = new Map(catalogue.species.map((row) => [row.key, row]));
  const stock = new Map(stage.foods.map((food) => [food.food.id, food.lot]));
  const madeById = new Map(stage.groups.map((group) => [group.id, group]));
  const feedings: ReturnType<typeof serveOne>[] = [];
  const draws: Row[] = [];
  const rounds: Round[] = [];
  for (let day = stage.first; day <= stage.today; day = addDays(day, 1)) {
    const house = houseOf({
      household: { timeZone: report.timeZone },
      moments: report.moments,
      tanks: stage.tanks,
      groups: stage.groups
        .filter((group) => group.arrival <= day)
        .map((group) => groupOn(group, day)),
      foods: stage.foods.map((food) => food.food),
      species,
      day,
    });
    const round = compileRound(house, day);
    rounds.push(round);
    for (const { stops } of round.moments) {
      for (const stop of stops) {
        stop.servings.forEach((serving, index) => {
          const late = 2 + report.chance.next() * 25 + index;
          const at = new Date(stop.at.getTime() + late * 60_000);
          if (at > report.now) return;
          const made = madeById.get(serving.group.id) as MadeGroup;
          const lot = stock.get(serving.food.id);
          const refuses = isRefused(serving, made.demo, stage, day);
          const fed = serveOne(serving, made.demo, report.chance, day, at, refuses);
          const { draws: taken } = drawDown(lot ? [lot] : [], fed.massG, { day, openedDays: null });
          feedings.push(fed);
          for (const draw of taken) {
            if (lot) lot.remainingG -= draw.massG;
            draws.push({
              id: report.chance.id(at),
              lotId: draw.lotId,
              kind: 'drawn',
              deltaG: -draw.massG,
              day,
              feedingId: fed.id,
            });
          }
        });
      }
    }
  }
  return { feedings, draws, rounds };
}

/** A food that the group has refused of late. */
const isRefused = (
  { food }: RoundServing,
  { refuses }: DemoGroup,
  { foods, today }: Stage0,
  day: string,
): boolean =>
  refuses !== undefined &&
  day >= addDays(today, -refuses.days) &&
  foods.some(({ key, food: shelved }) => key === refuses.food && shelved.id === food.id);

function serveOne(
  { serving, food, portion, group }: RoundServing,
  demo: DemoGroup,
  chance: Chance,
  day: string,
  at: Date,
  refuses: boolean,
) {
  const luck = chance.next();
  const forgotten = demo.forgotten ?? 0.02;
  const refusing = forgotten + (demo.refusing ?? 0.01);
  const outcome = refuses
    ? 'refused'
    : luck < forgotten
      ? 'skipped'
      : luck < refusing
        ? 'refused'
        : luck < refusing + 0.04
          ? 'less'
          : luck < refusing + 0.07
            ? 'more'
            : 'served';
  const factor = { skipped: 0, refused: 1, less: 0.5, more: 1.5, served: 1 }[outcome];
  const units = factor === 1 ? portion.units : toHandUnits(portion.massG * factor, food.unit);
  return {
    id: chance.id(at),
    servingId: serving.id,
    day,
    at,
    groupId: group.id,
    foodId: food.id,
    outcome: units === portion.units && outcome !== 'refused' ? 'served' : outcome,
    plannedUnits: portion.units,
    units,
    massG: units * food.unit.massG,
    note: outcome === 'refused' ? 'left lying' : '',
  };
}

function* inBatches(rows: readonly Row[]): Generator<Row[]> {
  const size = 500;
  for (let start = 0; start < rows.length; start += size) yield rows.slice(start, start + size);
}
