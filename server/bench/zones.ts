import { loadCatalogue } from '@open-larder/catalogue/load';
import {
  bandsOf,
  PLAIN,
  play,
  type Feeding,
  type FeedFood,
  type FeedGroup,
} from '@open-larder/core';
import { fastestOf, row } from './bench';

const { species, foods: generic } = loadCatalogue();

const SPECIES = [
  'danio-rerio',
  'pangio-kuhlii',
  'corydoras-paleatus',
  'trichopodus-leerii',
  'carnegiella-strigata',
  'iriatherina-werneri',
  'synodontis-nigriventris',
  'ancistrus-cirrhosus',
];
const FOODS = ['fine-flake', 'nettle-wafer-small', 'frozen-cyclops', 'sinking-pellet-small'];

/** Groups of as many species, and as many foods in two places, all given at once. */
function feedingOf(groups: number, foods: number, minutes: number): Feeding {
  const kinds = SPECIES.flatMap((key) => species.find((one) => one.key === key) ?? []);
  const usual = [...kinds, ...species].slice(0, Math.max(groups, kinds.length));
  const eaten = FOODS.flatMap((key) => generic.find((one) => one.key === key) ?? []);
  const served = [...eaten, ...generic].slice(0, Math.max(foods, eaten.length));
  return {
    tank: {
      lengthCm: 120,
      widthCm: 40,
      depthCm: 40,
      litres: 180,
      tempC: 25,
      light: { onMin: 540, offMin: 1260 },
      flow: 'gentle',
      decor: 'some',
      plants: 'few',
    },
    groups: usual.slice(0, groups).map((kind, at): FeedGroup => ({
      id: `g${at}`,
      name: kind.common,
      species: kind,
      stage: 'adult',
      count: 8,
      lengthCm: kind.adultLengthCm * 0.85,
      lengthMeasured: true,
      goalFactor: null,
    })),
    foods: served.slice(0, foods).map((food, at): FeedFood => ({
      ...food,
      id: `f${at}`,
      composition: food,
      unit: { massG: food.unitMassG, step: food.unitStep },
      inWater: food,
    })),
    drops: Array.from({ length: foods }, (_, at) => ({
      key: `d${at}`,
      foodId: `f${at}`,
      groupId: `g${at % groups}`,
      atMin: 660,
      massG: 0.3,
      zone: at % 2 === 0 ? 'surface' : 'bottom',
      place: at % 2 === 0 ? '' : 'far end',
      manner: PLAIN,
    })),
    fromMin: 660,
    toMin: 660 + minutes,
  };
}

const RUNS = 200;

/** A feeding, a day and a band, against smaller ones: growth must stay about linear. */
export function zones(): void {
  const timeOf = (groups: number, foods: number, minutes: number) => {
    const feeding = feedingOf(groups, foods, minutes);
    return fastestOf(() => play(feeding));
  };
  const [small, usual, large] = [timeOf(4, 2, 15), timeOf(8, 4, 15), timeOf(16, 8, 15)];
  const figures = (ours: number, base: number) => [
    `${ours.toFixed(1)} ms`,
    `${base.toFixed(1)} ms`,
  ];
  const against = (title: string, ours: number, base: number, limit: string) => {
    const [one, other] = figures(ours, base);
    row(title, one!, other!, ours / base, limit);
  };
  against('a feeding, 8 groups, 4 foods, against 4 and 2', usual, small, 'about 4; under 20 ms');
  against('a feeding, 16 groups, 8 foods, against 8 and 4', large, usual, 'about 4');
  const day = timeOf(8, 4, 1440);
  against('the same over 24 h, against 15 min', day, usual, 'under 150 ms');
  const feeding = feedingOf(8, 4, 15);
  const begin = performance.now();
  bandsOf(feeding, RUNS, 1);
  const bands = performance.now() - begin;
  against(
    `${RUNS} runs over uncertain traits, against ${RUNS} ×`,
    bands,
    usual * RUNS,
    'under 2000 ms',
  );
}
