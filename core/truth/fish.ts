import type { Species } from '@open-larder/catalogue';
import { massFromLength } from '../src/fish';
import { dailyNeed, feedingStopsC, longestSafeGap, stageFactor } from '../src/ration';
import { digestibleEnergy } from '../src/food';
import { measured } from '../src/why';
import { food, species } from './rows';
import type { Truth } from './truth';

const massOf = (row: Species, lengthCm: number) =>
  massFromLength(row, measured('Length', lengthCm, 'cm')).massG.value;

/** Adults in ordinary condition, total length in cm, and what keepers and breeders weigh, g. */
const MASSES: readonly [
  key: string,
  lengthCm: number,
  low: number,
  high: number,
  source: string,
][] = [
  ['danio-rerio', 3.5, 0.35, 0.45, 'Augustine et al. 2011'],
  ['paracheirodon-innesi', 3, 0.2, 0.28, 'Practice'],
  ['paracheirodon-axelrodi', 3.5, 0.3, 0.48, 'Practice'],
  ['trigonostigma-heteromorpha', 2.8, 0.23, 0.32, 'Practice'],
  ['poecilia-reticulata', 4, 0.8, 1.2, 'Practice, females'],
  ['poecilia-sphenops', 6, 2.5, 4, 'Practice'],
  ['xiphophorus-maculatus', 4.5, 1, 1.7, 'Practice'],
  ['xiphophorus-hellerii', 7, 3.5, 6.5, 'Practice'],
  ['gambusia-affinis', 4, 0.55, 0.95, 'FishBase pairs'],
  ['corydoras-panda', 3.5, 0.7, 1.1, 'Practice'],
  ['corydoras-aeneus', 5.5, 2.7, 4.2, 'Practice'],
  ['corydoras-pygmaeus', 2.5, 0.2, 0.4, 'Practice'],
  ['trichogaster-lalius', 5, 1.8, 2.8, 'Hossain et al. 2012'],
  ['trichopodus-leerii', 9, 8.5, 15, 'Practice'],
  ['betta-splendens', 5.5, 1.2, 2.4, 'Practice'],
  ['macropodus-opercularis', 7, 3.8, 6, 'FishBase pairs'],
  ['pterophyllum-scalare', 9, 11, 20, 'Practice'],
  ['symphysodon-aequifasciatus', 14, 45, 85, 'Practice'],
  ['astronotus-ocellatus', 25, 280, 400, 'FishBase pairs'],
  ['mikrogeophagus-ramirezi', 4.5, 1.3, 2.4, 'Practice'],
  ['apistogramma-cacatuoides', 6, 2.6, 4.5, 'Practice'],
  ['amatitlania-nigrofasciata', 9, 11, 18, 'FishBase pairs'],
  ['geophagus-brasiliensis', 15, 55, 85, 'FishBase pairs'],
  ['ancistrus-cirrhosus', 10, 9, 17, 'Giarrizzo et al. 2015'],
  ['hypancistrus-zebra', 7, 3.3, 5.8, 'Giarrizzo et al. 2015'],
  ['otocinclus-vestitus', 3, 0.15, 0.32, 'Practice'],
  ['carassius-auratus', 12, 22, 36, 'FishBase pairs'],
  ['cyprinus-rubrofuscus', 30, 380, 500, 'Verreycken et al. 2011'],
  ['phoxinus-phoxinus', 8, 4.3, 5.7, 'Oscoz et al. 2005; Verreycken et al. 2011'],
  ['gasterosteus-aculeatus', 6, 1.8, 2.6, 'Verreycken et al. 2011'],
  ['barbatula-barbatula', 10, 7.6, 9.8, 'Verreycken et al. 2011'],
  ['leucaspius-delineatus', 6, 1.4, 2.1, 'Verreycken et al. 2011'],
  ['leuciscus-idus', 30, 290, 380, 'Verreycken et al. 2011'],
  ['oryzias-latipes', 3, 0.2, 0.32, 'FishBase pairs'],
  ['puntigrus-tetrazona', 5, 1.5, 2.6, 'Practice'],
  ['puntius-titteya', 4, 0.65, 1.1, 'Practice'],
  ['pethia-conchonius', 6, 2.6, 4.2, 'Hossain et al. 2012'],
  ['melanotaenia-boesemani', 9, 8, 14, 'Practice'],
  ['chromobotia-macracanthus', 15, 33, 52, 'FishBase pairs of the family'],
  ['pangio-kuhlii', 8, 1.5, 4, 'Practice'],
  ['misgurnus-anguillicaudatus', 15, 16, 25, 'FishBase pairs'],
  ['pygocentrus-nattereri', 20, 150, 230, 'FishBase pairs'],
  ['synodontis-nigriventris', 8, 5, 9.5, 'Entsua-Mensah et al. 1995'],
  ['polypterus-senegalus', 25, 90, 150, 'Entsua-Mensah et al. 1995'],
  ['carinotetraodon-travancoricus', 2.5, 0.35, 0.65, 'Practice'],
];

/** A day's food as fed in per cent of body mass, at a temperature: practice of keepers. */
const RATIONS: readonly [
  key: string,
  lengthCm: number,
  tempC: number,
  food: string,
  low: number,
  high: number,
][] = [
  ['danio-rerio', 3.5, 26, 'fine-flake', 1.8, 3.5],
  ['paracheirodon-innesi', 3, 24, 'fine-flake', 1.3, 3],
  ['poecilia-reticulata', 4, 25, 'fine-flake', 1.5, 3],
  ['trigonostigma-heteromorpha', 2.8, 25, 'fine-flake', 1.8, 3.5],
  ['corydoras-panda', 3.5, 24, 'worm-tablet', 0.9, 2],
  ['pterophyllum-scalare', 10, 27, 'medium-granule', 0.7, 1.8],
  ['carassius-auratus', 12, 20, 'sinking-pellet-medium', 0.4, 1.2],
  ['astronotus-ocellatus', 25, 26, 'sinking-pellet-large', 0.35, 1],
  ['paracheirodon-innesi', 3, 24, 'frozen-midge-larvae', 8, 25],
  ['trichogaster-lalius', 5, 26, 'frozen-water-fleas', 12, 35],
];

const groupOf = (row: Species, lengthCm: number, tempC: number) => ({
  species: row,
  stage: 'adult' as const,
  count: 1,
  lengthCm,
  lengthMeasured: true,
  tempC,
});

export const fish: Truth[] = [
  ...MASSES.map(([key, lengthCm, low, high, source]) => ({
    topic: 'Mass of one fish',
    what: `${species(key).common}, ${lengthCm} cm`,
    source,
    unit: 'g',
    low,
    high,
    computed: massOf(species(key), lengthCm),
  })),
  ...RATIONS.map(([key, lengthCm, tempC, name, low, high]) => {
    const row = species(key);
    const kj = dailyNeed(groupOf(row, lengthCm, tempC)).value;
    const fed = food(name);
    return {
      topic: 'Ration of a day',
      what: `${row.common}, ${lengthCm} cm, ${tempC} °C, of ${fed.name.toLowerCase()}`,
      source: 'Practice',
      unit: '% of body mass as fed',
      low,
      high,
      computed:
        (100 * kj) / digestibleEnergy(fed.name, fed, row.guild).value / massOf(row, lengthCm),
    };
  }),
  ...(
    [
      ['carassius-auratus', 10, 18, 10, 60],
      ['danio-rerio', 3.5, 26, 3, 12],
      ['astronotus-ocellatus', 25, 26, 12, 45],
      ['paracheirodon-innesi', 3, 25, 3, 8],
      ['otocinclus-macrospilus', 4, 24, 2, 5],
      ['symphysodon-aequifasciatus', 15, 29, 7, 21],
      ['caridina-multidentata', 4, 24, 3, 14],
    ] as const
  ).map(([key, lengthCm, tempC, low, high]) => ({
    topic: 'Days without food that a healthy adult can go',
    what: `${species(key).common}, ${lengthCm} cm, ${tempC} °C`,
    source: 'Practice',
    unit: 'days',
    low,
    high,
    computed: longestSafeGap(groupOf(species(key), lengthCm, tempC)).value / 24,
  })),
  ...(
    [
      ['carassius-auratus', 26, 26],
      ['cyprinus-rubrofuscus', 25, 25],
      ['danio-rerio', 27, 29],
      ['phoxinus-phoxinus', 16, 19],
    ] as const
  ).map(([key, low, high]) => ({
    topic: 'Temperature of greatest appetite',
    what: species(key).common,
    source: 'Practice; max − 2 °C where nothing better is known',
    unit: '°C',
    low,
    high,
    computed: species(key).appetitePeakC,
  })),
  ...(
    [
      ['carassius-auratus', 8, 10],
      ['cyprinus-rubrofuscus', 7, 10],
    ] as const
  ).map(([key, low, high]) => ({
    topic: 'Temperature under which it is not fed',
    what: species(key).common,
    source: 'Practice of pond keepers',
    unit: '°C',
    low,
    high,
    computed: feedingStopsC(species(key)),
  })),
  ...(
    [
      ['poecilia-reticulata', 1.5, 2],
      ['danio-rerio', 1.5, 2],
      ['ancistrus-cirrhosus', 1, 1],
    ] as const
  ).map(([key, low, high]) => ({
    topic: 'Adults that lay or carry, times maintenance',
    what: species(key).common,
    source: 'Practice',
    unit: '×',
    low,
    high,
    computed: stageFactor('adult', species(key)),
  })),
];
