import { digestibleEnergy, isLitter, softensOn } from '../food';
import { dailyNeed } from '../ration';
import { assumed, computed, measured, type Known } from '../why';
import { NITRATE_PER_N, nitrogenOfProtein, PROTEIN_PER_N } from '../water/nitrogen';
import type { Feeding, FeedGroup } from './feeding';
import { FILM_FOOD } from './film';
import { LAYERS, LAYER_COUNT, type Layer } from './layers';
import type { Model } from './model';
import { stays } from './settled';
import type { Outcome } from './simulate';

/** What a feeding came to, as a keeper reads it. */
export interface Report {
  groups: GroupReport[];
  drops: DropReport[];
  /** Grazed off glass and wood by all, grams as fed. */
  grazedG: number;
  water: WaterReport;
}

export interface GroupReport {
  groupId: string;
  name: string;
  /** Energy that reached it, and as a share of its need of a day. */
  gotKj: Known;
  ofNeed: Known;
  /** Dry matter in its stomachs at the end, as a share of what they hold. */
  fill: number;
  /** By food: grams as fed. */
  eaten: { foodId: string; name: string; massG: number }[];
}

export interface DropReport {
  key: string;
  foodId: string;
  name: string;
  groupId: string;
  servedG: number;
  eatenG: number;
  leachedG: number;
  liftedG: number;
  /** Still standing when it ends, to be lifted later. */
  stayingG: number;
  /** Left to rot, with what lies out of reach between the grains of the ground. */
  leftG: number;
  buriedG: number;
  /** Share of what was eaten that its own group ate. */
  ownShare: number;
  /** Minutes until a twentieth was left; null where more was. */
  clearedMin: number | null;
  /** Where what was not eaten lay when it was lifted or the simulation ended, grams. */
  lay: { layer: Layer; massG: number }[];
}

export interface WaterReport {
  /** Nitrogen that the food adds: of what was eaten, and of what dissolved or was left to rot, mg. */
  nitrogenMg: Known;
  /** Nitrate once it is all nitrified, mg/L. */
  nitrateMgL: Known;
}

/** Amounts under this lie nowhere that a keeper could see, grams. */
const SEEN_G = 1e-5;

/** By group, then item, the film last: digestible kJ in a gram as fed. */
export const energiesOf = (feeding: Feeding, model: Model): number[][] =>
  feeding.groups.map(({ species }) =>
    model.items.map(
      ({ food }) => digestibleEnergy(food.name, food.composition, species.guild).value,
    ),
  );

/** What a group got, as a share of its day's need, %. */
export function shareOfNeed(
  { feeders }: Model,
  { eatenG }: Outcome,
  kjPerG: readonly number[],
  f: number,
): number {
  const { needKj } = feeders[f]!;
  const got = kjPerG.reduce((sum, energy, i) => sum + energy * eatenG[f * kjPerG.length + i]!, 0);
  return needKj > 0 ? (got / needKj) * 100 : 0;
}

/** Read an outcome. */
export function reportOf(feeding: Feeding, model: Model, outcome: Outcome): Report {
  const items = model.items.length;
  const film = items - 1;
  return {
    groups: feeding.groups.map((group, f) => groupReport(feeding, group, f, model, outcome)),
    drops: feeding.drops.map((_, drop) => dropReport(feeding, drop, model, outcome)),
    grazedG: model.feeders.reduce((sum, _feeder, f) => sum + outcome.eatenG[f * items + film]!, 0),
    water: waterReport(feeding, model, outcome),
  };
}

function groupReport(
  feeding: Feeding,
  group: FeedGroup,
  f: number,
  model: Model,
  outcome: Outcome,
): GroupReport {
  const items = model.items.length;
  const grams = new Map<string, number>();
  model.items.forEach((item, i) => {
    const eaten = outcome.eatenG[f * items + i]!;
    grams.set(item.food.id, (grams.get(item.food.id) ?? 0) + eaten);
  });
  const foods = [...feeding.foods, FILM_FOOD];
  const eaten = foods.flatMap((food) => {
    const massG = grams.get(food.id) ?? 0;
    return massG > 0 ? { foodId: food.id, name: food.name, massG, food } : [];
  });
  const parts = eaten.map(({ food, massG }) => {
    const energy = digestibleEnergy(food.name, food.composition, group.species.guild);
    return computed(massG * energy.value, {
      label: `Energy from ${food.name}`,
      unit: 'kJ',
      how: 'grams that reached it × digestible energy',
      from: [
        computed(massG, {
          label: `${food.name} that reached it`,
          unit: 'g',
          how: 'simulated: encounters, handling, stomachs and mates at the same place',
          source: RESPONSE,
          from: [
            assumed('Boldness', group.species.boldness, 'of 1', group.species.sourceBehaviour),
            measured('Number of fish', group.count, '', 'the events of the group'),
          ],
        }),
        energy,
      ],
    });
  });
  const gotKj = computed(
    parts.reduce((sum, part) => sum + part.value, 0),
    { label: 'Energy that reached it', unit: 'kJ', how: 'sum over its foods', from: parts },
  );
  const needKj = dailyNeed({ ...group, tempC: feeding.tank.tempC });
  const ofNeed = computed(needKj.value > 0 ? (gotKj.value / needKj.value) * 100 : 0, {
    label: 'Share of the day’s need that reached it',
    unit: '%',
    how: 'energy that reached it ÷ energy needed on a feeding day',
    from: [gotKj, needKj],
  });
  const feeder = model.feeders[f]!;
  return {
    groupId: group.id,
    name: group.name,
    gotKj,
    ofNeed,
    fill: feeder.stomachG > 0 ? outcome.stomachG[f]! / feeder.stomachG : 0,
    eaten: eaten.map(({ foodId, name, massG }) => ({ foodId, name, massG })),
  };
}

const RESPONSE =
  'Holling 1959, Can. Entomol. 91:385, for several prey (Murdoch 1973); traits by guild and size are starting values';

function dropReport(feeding: Feeding, at: number, model: Model, outcome: Outcome): DropReport {
  const drop = feeding.drops[at]!;
  const items = model.items.length;
  const mine = model.items.flatMap((item, i) => (item.drop === at ? [i] : []));
  const total = (of: (i: number) => number) => mine.reduce((sum, i) => sum + of(i), 0);
  const inCells = (cells: Float64Array, i: number, layer?: number) => {
    let sum = 0;
    for (let cell = 0; cell < cells.length / items; cell += 1) {
      if (layer === undefined || cell % LAYER_COUNT === layer) sum += cells[cell * items + i]!;
    }
    return sum;
  };
  const eatenBy = (f: number) => total((i) => outcome.eatenG[f * items + i]!);
  const eatenG = feeding.groups.reduce((sum, _group, f) => sum + eatenBy(f), 0);
  const own = feeding.groups.findIndex((group) => group.id === drop.groupId);
  const cleared = outcome.clearedS[at] ?? null;
  const litter = feeding.foods.some((food) => food.id === drop.foodId && isLitter(food));
  const staying = (i: number) =>
    stays(model.items[i]!, model.endS) ? inCells(outcome.leftG, i) : 0;
  const inWaterG = total((i) => inCells(outcome.leftG, i));
  const stayingG = total(staying);
  return {
    key: drop.key,
    foodId: drop.foodId,
    name: feeding.foods.find((food) => food.id === drop.foodId)?.name ?? '',
    groupId: drop.groupId,
    servedG: litter ? drop.massG : total((i) => outcome.servedG[i]!),
    eatenG,
    leachedG: total((i) => outcome.leachedG[i]!),
    liftedG: total((i) => inCells(outcome.liftedG, i)),
    stayingG: stayingG + (litter ? drop.massG * (1 - softensOn(0)) : 0),
    leftG: inWaterG - stayingG + total((i) => outcome.buriedG[i]!),
    buriedG: total((i) => outcome.buriedG[i]!),
    ownShare: own >= 0 && eatenG > 0 ? eatenBy(own) / eatenG : 0,
    clearedMin: cleared === null ? null : cleared / 60,
    lay: LAYERS.map((layer, index) => ({
      layer,
      massG: total((i) => inCells(outcome.liftedG, i, index) + inCells(outcome.leftG, i, index)),
    })).filter(({ massG }) => massG > SEEN_G),
  };
}

function waterReport(feeding: Feeding, model: Model, outcome: Outcome): WaterReport {
  const items = model.items.length;
  let eatenProtein = 0;
  let excretedG = 0;
  let lostProtein = 0;
  model.items.forEach((item, i) => {
    if (i === items - 1) return;
    const { protein } = item.food.composition;
    model.feeders.forEach((_, f) => {
      const eaten = outcome.eatenG[f * items + i]! * protein;
      eatenProtein += eaten;
      excretedG += eaten * nitrogenOfProtein(feeding.groups[f]!.stage);
    });
    let left = outcome.leachedG[i]! + outcome.buriedG[i]!;
    if (!stays(item, model.endS)) {
      for (let at = i; at < outcome.leftG.length; at += items) left += outcome.leftG[at]!;
    }
    lostProtein += left * protein;
  });
  const source = 'Timmons & Ebeling, Recirculating Aquaculture; protein ÷ 6.25 is nitrogen';
  const nitrogenMg = computed((excretedG + lostProtein / PROTEIN_PER_N) * 1000, {
    label: 'Nitrogen that the food adds to the water',
    unit: 'mg',
    how: 'protein eaten × 0.128 (of fish that grow 0.092) + protein dissolved or left to rot ÷ 6.25',
    source,
    from: [
      computed(eatenProtein, {
        label: 'Protein eaten',
        unit: 'g',
        how: 'simulated grams × protein of each food',
        from: [],
      }),
      computed(lostProtein, {
        label: 'Protein dissolved or left lying',
        unit: 'g',
        how: 'simulated grams × protein of each food; what is lifted out is not counted',
        from: [],
      }),
    ],
  });
  const nitrateMgL = computed((nitrogenMg.value * NITRATE_PER_N) / feeding.tank.litres, {
    label: 'Nitrate once it is nitrified',
    unit: 'mg/L',
    how: 'nitrogen × 4.43 ÷ litres',
    source,
    from: [nitrogenMg, measured('Water', feeding.tank.litres, 'L', 'the tank')],
  });
  return { nitrogenMg, nitrateMgL };
}
