import { youngLengthCm } from '../src/brood';
import { massFromLength } from '../src/fish';
import { grownSince } from '../src/growth';
import { measured } from '../src/why';
import { grown, type Growing } from '../src/week/dryRun/growth';
import { species } from './rows';
import type { Truth } from './truth';

/** Lengths of well-fed young that keepers see at an age from swimming free or birth. */
const USUAL: readonly [key: string, days: number, low: number, high: number][] = [
  ['symphysodon-aequifasciatus', 300, 12, 13],
  ['symphysodon-aequifasciatus', 90, 4, 6.5],
  ['symphysodon-aequifasciatus', 540, 15, 18],
  ['ancistrus-cirrhosus', 60, 4, 5],
  ['ancistrus-cirrhosus', 180, 7, 10],
  ['pterophyllum-scalare', 180, 7, 9],
  ['pterophyllum-scalare', 365, 10.5, 14],
  ['danio-rerio', 45, 1.6, 2.4],
  ['danio-rerio', 90, 2.5, 3.1],
  ['danio-rerio', 180, 3.3, 4.1],
  ['astronotus-ocellatus', 180, 12, 18],
  ['astronotus-ocellatus', 365, 20, 28],
  ['carassius-auratus', 365, 7, 13],
  ['cyprinus-rubrofuscus', 365, 12, 22],
  ['cyprinus-rubrofuscus', 1095, 33, 48],
  ['poecilia-reticulata', 60, 1.6, 2.4],
  ['poecilia-reticulata', 120, 2.6, 3.4],
  ['xiphophorus-maculatus', 120, 2.5, 3.6],
  ['nothobranchius-guentheri', 56, 3.4, 4.5],
  ['nothobranchius-rachovii', 42, 2.8, 4],
  ['betta-splendens', 120, 3.6, 5],
  ['paracheirodon-innesi', 140, 1.7, 2.3],
  ['hyphessobrycon-amandae', 120, 1.1, 1.6],
  ['trigonostigma-heteromorpha', 105, 1.7, 2.4],
  ['corydoras-pygmaeus', 90, 1.4, 2],
  ['corydoras-aeneus', 180, 4, 5],
  ['corydoras-paleatus', 90, 2.4, 3.4],
  ['hypancistrus-zebra', 365, 3.5, 5],
  ['panaqolus-maccus', 365, 4.2, 6],
  ['apistogramma-cacatuoides', 120, 2.5, 3.6],
  ['amatitlania-nigrofasciata', 150, 4, 6],
  ['neolamprologus-multifasciatus', 180, 1.7, 2.6],
  ['tropheus-duboisi', 365, 5.5, 7.5],
  ['melanotaenia-boesemani', 180, 4, 6],
  ['melanotaenia-lacustris', 365, 6.5, 9],
  ['oryzias-latipes', 90, 2, 2.7],
  ['chromobotia-macracanthus', 365, 6, 10],
  ['neocaridina-davidi', 85, 1.4, 2],
  ['carinotetraodon-travancoricus', 75, 1.2, 1.8],
  ['sewellia-lineolata', 180, 1.7, 2.8],
];

const lengths: Truth[] = USUAL.map(([key, days, low, high]) => {
  const row = species(key);
  return {
    topic: 'Length at an age',
    what: `${row.common}, ${days} days`,
    source: 'Practice',
    unit: 'cm',
    low,
    high,
    computed: youngLengthCm(row, days, row.tempOptC),
  };
});

/** What young that were measured have some days later, at a temperature and well fed. */
const SINCE_MEASURED: readonly [
  key: string,
  tempC: number,
  fromCm: number,
  days: number,
  low: number,
  high: number,
][] = [
  ['danio-rerio', 27, 0.9, 39, 1.7, 2.3],
  ['pterophyllum-scalare', 27, 1, 35, 2.2, 3.2],
  ['fundulopanchax-gardneri', 24.5, 0.72, 30, 1.2, 1.8],
  ['poecilia-reticulata', 25, 0.8, 60, 1.8, 2.6],
  ['symphysodon-aequifasciatus', 29, 5, 90, 7.5, 10],
  ['ancistrus-cirrhosus', 26, 1.5, 60, 3.8, 5.5],
  ['carassius-auratus', 22, 3, 120, 5, 8],
];

const since: Truth[] = SINCE_MEASURED.map(([key, tempC, fromCm, days, low, high]) => {
  const row = species(key);
  return {
    topic: 'Length since it was measured',
    what: `${row.common}, ${fromCm} cm, ${days} days at ${tempC} °C`,
    source: 'Practice',
    unit: 'cm',
    low,
    high,
    computed: grownSince(row, tempC, fromCm, days)!.lengthCm,
  };
});

/** Adults, total length in cm, that get no food. */
const STARVED: readonly [key: string, lengthCm: number][] = [
  ['trigonostigma-heteromorpha', 3.5],
  ['paracheirodon-axelrodi', 3.8],
  ['puntigrus-tetrazona', 6],
  ['xiphophorus-maculatus', 4.5],
  ['corydoras-aeneus', 5.5],
  ['trichogaster-lalius', 5.5],
  ['melanotaenia-praecox', 5],
  ['pelvicachromis-pulcher', 7],
];

const starving: Truth[] = STARVED.flatMap(([key, lengthCm]) => {
  const row = species(key);
  const { massG } = massFromLength(row, measured('Length', lengthCm, 'cm'));
  const same = { low: massG.value, middle: massG.value, high: massG.value };
  const group = {
    species: row,
    stage: 'resting' as const,
    count: 1,
    lengthCm,
    lengthMeasured: true,
  };
  const days: Growing[] = [{ massG: same, greatestG: same }];
  for (let day = 0; day < 30; day += 1) days.push(grown(group, days.at(-1)!, 0, row.tempOptC));
  const lostOn = (day: number) => 100 * (1 - days[day]!.massG.middle / days[day - 1]!.massG.middle);
  const of = (day: number, low: number, high: number): Truth => ({
    topic: 'Starving adults lose mass',
    what: `${row.common}, ${lengthCm} cm, day ${day}`,
    source: 'Practice',
    unit: '% a day',
    low,
    high,
    computed: lostOn(day),
  });
  return [of(1, 0.9, 1.6), of(30, 0.5, 1.1)];
});

export const growth: Truth[] = [...lengths, ...since, ...starving];
