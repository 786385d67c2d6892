import { houseOf, type Group, type Tank } from '@open-larder/contract';
import {
  addDays,
  compileRound,
  drawDown,
  sizeOn,
  toServingUnits,
  type RoundServing,
  type SizeEvent,
  type Stage,
  type Round,
} from '@open-larder/core';
import { grewIn, type LifeEvent } from '@open-larder/core/group';
import type { Catalogue } from '@open-larder/catalogue/load';
import type { Chance } from './chance';
import { type DemoGroup } from './scenario';
import { type DemoSetting, type Row, type DemoFood, type MadeGroup } from './making';

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

interface Scene {
  tanks: Tank[];
  foods: DemoFood[];
  groups: MadeGroup[];
  first: string;
  today: string;
}

/** Serve every day of the history as a keeper would: mostly as planned, now and then not. */
export function serveDays(catalogue: Catalogue, report: DemoSetting, stage: Scene) {
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
  { foods, today }: Scene,
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
  const units = factor === 1 ? portion.units : toServingUnits(portion.massG * factor, food.unit);
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
