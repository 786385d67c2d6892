import { USUAL_RHYTHM } from '@open-larder/core/water/rhythm';
import { loadCatalogue } from '@open-larder/catalogue/load';
import { PLAIN, type DietServing, type FeedFood } from '@open-larder/core';
import {
  dryRun,
  estimated,
  improve,
  newMemory,
  programmeOf,
  solverOf,
  weekOutcome,
  withServings,
  type WeekTask,
} from '@open-larder/core/week';
import highsLoader from 'highs';
import { fastestOf, row } from './bench';

const { species, foods: generic } = loadCatalogue();

const SPECIES = [
  'danio-rerio',
  'pangio-kuhlii',
  'corydoras-paleatus',
  'trichopodus-leerii',
  'carnegiella-strigata',
  'iriatherina-werneri',
];
const EVERY_DAY = [1, 2, 3, 4, 5, 6, 7];

/** A tank of so many groups with two moments a day, and so many foods on the shelf. */
function taskOf(groups: number, foods: number, id = 't'): WeekTask {
  const kinds = SPECIES.flatMap((key) => species.find((one) => one.key === key) ?? []);
  const served = generic.filter((_, at) => at % 6 === 0).slice(0, foods);
  const light = { onMin: 540, offMin: 1260 };
  const eaters = kinds.slice(0, groups).map((kind, at) => ({
    id: `${id} g${at}`,
    name: kind.common,
    species: kind,
    stage: 'adult' as const,
    count: 8,
    lengthCm: kind.adultLengthCm * 0.85,
    lengthMeasured: true,
    goalFactor: null,
  }));
  const serving = (group: number, momentId: string, at: number): DietServing => ({
    id: `${id} ${group} ${momentId}`,
    foodId: served[(group + at) % served.length]!.key,
    momentId,
    zone: 'surface',
    place: '',
    days: EVERY_DAY,
    weight: 1,
    ownUnits: null,
    manner: PLAIN,
  });
  return {
    tank: {
      lengthCm: 120,
      widthCm: 40,
      depthCm: 40,
      litres: 180,
      tempC: 25,
      light,
      flow: 'gentle',
      decor: 'some',
      plants: 'few',
    },
    groups: eaters,
    foods: served.map((food): FeedFood => ({
      ...food,
      id: food.key,
      composition: food,
      unit: { massG: food.unitMassG, step: food.unitStep },
      inWater: food,
    })),
    first: '2026-03-02',
    spareMin: {},
    feedingStyle: {
      portion: 'weight',
      meals: 'two',
      lift: 'soon',
      staple: 'dry',
      fast: 'none',
      soak: 'dry',
    },
    shelf: served.map((food) => ({
      foodId: food.key,
      stockG: 100,
      pricePerG: 10,
      expiringG: 0,
    })),
    house: {
      timeZone: 'UTC',
      moments: [
        { id: 'morning', name: 'Morning', anchor: 'clock', minutes: 600 },
        { id: 'night', name: 'Night', anchor: 'lightsOff', minutes: 20 },
      ],
      tanks: [
        {
          id,
          name: id,
          walkOrder: 1,
          tempC: 25,
          light,
          plan: { cycle: { days: 7, from: '2024-01-01' }, fasts: [] },
        },
      ],
      groups: eaters.map((group, at) => ({
        ...group,
        tankId: id,
        lastOn: {},
        diet: {
          fastWeekdays: at === 3 ? [7] : [],
          goalFactor: null,
          rules: [],
          servings: ['morning', 'night'].map((moment, index) => serving(at, moment, index)),
        },
      })),
      foods: served.map((food) => ({
        id: food.key,
        name: food.name,
        composition: food,
        unit: {
          name: food.unitName,
          plural: food.unitPlural,
          massG: food.unitMassG,
          step: food.unitStep,
        },
      })),
    },
  };
}

/** Balancing against the bare solver, a dry run of many tanks, and an edit on the board. */
export async function week(): Promise<void> {
  const solver = solverOf(await highsLoader());
  const ms = (value: number) => `${value < 10 ? value.toFixed(1) : Math.round(value)} ms`;
  const against = (title: string, ours: number, base: number, limit: string) =>
    row(title, ms(ours), ms(base), ours / base, limit);
  const since = (began: number) => performance.now() - began;

  const task = taskOf(6, 14);
  const options = { newId: () => '' };
  improve(task, options);
  let began = performance.now();
  const { trials } = improve(task, options);
  const bettered = since(began);
  began = performance.now();
  weekOutcome(task, newMemory({ fill: task.groups.map(() => 0.5) }));
  const once = since(began);
  against(
    `better plans: 6 groups, 14 foods, ${trials} tried; each simulated`,
    bettered,
    once * trials,
    'under 3000 ms',
  );
  const { mip } = programmeOf(task);
  began = performance.now();
  solver.solve(mip, { gap: 0.05, seconds: 20, nodes: 1e6, improvements: 1e6 });
  against('… against the whole programme, solved bare', bettered, since(began), 'at most 1.50');

  const forty = Array.from({ length: 40 }, (_, at) => ({
    task: taskOf(4, 8, `t${at}`),
    water: USUAL_RHYTHM,
  }));
  const foods = forty[0]!.task.shelf.map(({ foodId, stockG, pricePerG }) => ({
    id: foodId,
    lots: [{ id: foodId, remainingG: stockG * 40, openedOn: null, bestBefore: null }],
    openedDays: null,
    pricePerG,
  }));
  const four = fastestOf(() => dryRun(forty.slice(0, 4), foods, 56), 3);
  const all = fastestOf(() => dryRun(forty, foods, 56), 3);
  against('dry run of 40 tanks, 8 weeks, against 10 × 4', all, four * 10, 'under 3000 ms');

  const known = weekOutcome(task);
  const [first] = task.house.groups;
  const [serving] = first!.diet!.servings;
  const edited = withServings(task, new Map([[first!.id, [{ ...serving!, ownUnits: 3 }]]]));
  const quick = fastestOf(() => estimated(edited, known));
  const simulated = fastestOf(() => weekOutcome(edited, newMemory()), 3);
  against('an edit: shares at once, against simulated', quick, simulated, 'under 100 ms');
}
