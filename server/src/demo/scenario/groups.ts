import type { Cause, Stage } from '@open-larder/core';
import type { MomentKey } from './moments';
import type { TankName } from './tanks';

interface DemoServing {
  food: string;
  moment: MomentKey;
  zone: 'surface' | 'mid' | 'bottom' | 'film';
  place: string;
  weekdays?: number[];
  weight?: number;
}

export interface DemoGroup {
  name: string;
  species: string;
  tank: TankName;
  males: number;
  females: number;
  unsexed: number;
  /** Days ago that the group came; the whole history where it is left out. */
  daysAgo?: number;
  stage: Stage;
  /** Measured mean lengths: [days ago, cm], and of each fish where they were reported. */
  lengths: [number, number, number[]?][];
  /** Of later: the same, where the servings of the demo do not follow them. */
  alsoMeasured?: [number, number, number[]][];
  /** Later stages: [days ago, stage]. */
  stages?: [number, Stage][];
  /** Fish lost: [days ago, number, what of]. */
  losses?: [number, number, Cause][];
  fastWeekdays: number[];
  servings: DemoServing[];
  /** How often a serving of this group is forgotten or goes uneaten, 0..1. */
  forgotten?: number;
  refusing?: number;
  /** A food that it has refused for so many days. */
  refuses?: { food: string; days: number };
}

const weekdays = (...days: number[]) => days;

export const GROUPS: DemoGroup[] = [
  {
    name: 'Pearl gouramis',
    species: 'trichopodus-leerii',
    tank: 'Millpond',
    males: 1,
    females: 2,
    unsexed: 0,
    stage: 'adult',
    stages: [[16, 'conditioning']],
    lengths: [
      [50, 9.4],
      [8, 9.7],
    ],
    fastWeekdays: [],
    servings: [
      { food: 'fine-flake', moment: 'morning', zone: 'surface', place: 'front left' },
      {
        food: 'frozen-water-fleas',
        moment: 'evening',
        zone: 'surface',
        place: 'front left',
        weekdays: weekdays(1, 3, 5, 7),
      },
      {
        food: 'moina-live',
        moment: 'evening',
        zone: 'mid',
        place: 'over the wood',
        weekdays: weekdays(2, 4, 6),
      },
    ],
  },
  {
    name: 'Upside-down catfish',
    species: 'synodontis-nigriventris',
    tank: 'Millpond',
    males: 0,
    females: 0,
    unsexed: 4,
    stage: 'adult',
    lengths: [[50, 7.2]],
    fastWeekdays: [7],
    servings: [
      { food: 'worm-tablet', moment: 'night', zone: 'surface', place: 'under the root' },
      {
        food: 'frozen-midge-larvae',
        moment: 'night',
        zone: 'surface',
        place: 'under the root',
        weekdays: weekdays(3, 6),
        weight: 2,
      },
      {
        food: 'green-gel',
        moment: 'night',
        zone: 'surface',
        place: 'under the root',
        weekdays: weekdays(1, 4),
        weight: 2,
      },
    ],
    forgotten: 0.08,
  },
  {
    name: 'Hillstream loaches',
    species: 'sewellia-lineolata',
    tank: 'Sluice',
    males: 2,
    females: 4,
    unsexed: 0,
    stage: 'adult',
    lengths: [[44, 5.1]],
    fastWeekdays: [],
    servings: [
      {
        food: 'nettle-wafer-small',
        moment: 'evening',
        zone: 'film',
        place: 'on the flat stones',
        weight: 2,
      },
      {
        food: 'spinach-leaf',
        moment: 'morning',
        zone: 'film',
        place: 'pinned to the stone',
        weekdays: weekdays(2, 5),
      },
      {
        food: 'green-gel',
        moment: 'morning',
        zone: 'film',
        place: 'pressed on the flat stones',
        weekdays: weekdays(4, 7),
      },
    ],
  },
  {
    name: 'Celestial pearl danios',
    species: 'danio-margaritatus',
    tank: 'Sluice',
    males: 5,
    females: 9,
    unsexed: 0,
    stage: 'adult',
    lengths: [[40, 1.9]],
    fastWeekdays: [7],
    servings: [
      { food: 'fry-powder', moment: 'morning', zone: 'mid', place: 'into the current' },
      { food: 'frozen-cyclops', moment: 'evening', zone: 'mid', place: 'into the current' },
    ],
  },
  {
    name: 'Marbled hatchetfish',
    species: 'carnegiella-strigata',
    tank: 'Tarn',
    males: 0,
    females: 0,
    unsexed: 9,
    stage: 'adult',
    lengths: [[48, 3.1]],
    losses: [[33, 1, 'jumped']],
    fastWeekdays: [7],
    servings: [
      { food: 'fine-flake', moment: 'morning', zone: 'surface', place: 'front left' },
      { food: 'frozen-water-fleas', moment: 'evening', zone: 'surface', place: 'front left' },
    ],
  },
  {
    name: 'Kuhli loaches',
    species: 'pangio-kuhlii',
    tank: 'Tarn',
    males: 0,
    females: 0,
    unsexed: 8,
    stage: 'adult',
    lengths: [
      [48, 8.2],
      [6, 8.2],
    ],
    fastWeekdays: [7],
    servings: [
      { food: 'sinking-pellet-small', moment: 'evening', zone: 'bottom', place: 'far end' },
      {
        food: 'frozen-midge-larvae',
        moment: 'night',
        zone: 'bottom',
        place: 'far end',
        weekdays: weekdays(1, 3, 5),
      },
    ],
    forgotten: 0.22,
    refusing: 0.14,
  },
  {
    name: 'Threadfin rainbowfish',
    species: 'iriatherina-werneri',
    tank: 'Tarn',
    males: 4,
    females: 6,
    unsexed: 0,
    stage: 'adult',
    lengths: [[48, 3.6]],
    fastWeekdays: [],
    servings: [
      {
        food: 'fry-powder',
        moment: 'morning',
        zone: 'surface',
        place: 'behind the floating plants',
      },
      {
        food: 'frozen-cyclops',
        moment: 'evening',
        zone: 'mid',
        place: 'behind the floating plants',
      },
    ],
  },
  {
    name: 'Glass catfish',
    species: 'kryptopterus-vitreolus',
    tank: 'Race',
    males: 0,
    females: 0,
    unsexed: 10,
    stage: 'adult',
    lengths: [[47, 5.4]],
    fastWeekdays: [7],
    servings: [
      { food: 'frozen-cyclops', moment: 'evening', zone: 'mid', place: 'into the current' },
      {
        food: 'frozen-brine-shrimp',
        moment: 'morning',
        zone: 'mid',
        place: 'into the current',
        weekdays: weekdays(2, 4, 6),
      },
    ],
    refusing: 0.05,
    refuses: { food: 'frozen-brine-shrimp', days: 12 },
  },
  {
    name: 'Steel-blue killifish',
    species: 'fundulopanchax-gardneri',
    tank: 'Alder',
    males: 1,
    females: 3,
    unsexed: 0,
    stage: 'adult',
    stages: [[20, 'conditioning']],
    lengths: [[45, 5.2]],
    fastWeekdays: [],
    servings: [
      {
        food: 'grindal-worms-live',
        moment: 'evening',
        zone: 'mid',
        place: 'beside the mop',
        weekdays: weekdays(1, 3, 5),
      },
      {
        food: 'frozen-midge-larvae',
        moment: 'evening',
        zone: 'mid',
        place: 'beside the mop',
        weekdays: weekdays(2, 4, 6, 7),
      },
      { food: 'frozen-brine-shrimp', moment: 'morning', zone: 'mid', place: 'beside the mop' },
    ],
  },
  {
    name: 'Young threadfins',
    species: 'iriatherina-werneri',
    tank: 'Withy',
    males: 0,
    females: 0,
    unsexed: 16,
    stage: 'juvenile',
    lengths: [
      [55, 1.2, [1.1, 1.15, 1.2, 1.2, 1.25, 1.3]],
      [41, 1.5, [1.35, 1.4, 1.5, 1.5, 1.6, 1.65]],
      [27, 1.8, [1.5, 1.65, 1.8, 1.8, 1.95, 2.1]],
      [13, 2.1, [1.6, 1.8, 2.0, 2.2, 2.4, 2.6]],
      [3, 2.3, [1.6, 1.8, 2.0, 2.3, 2.5, 2.8, 3.1]],
    ],
    alsoMeasured: [
      [48, 1.35, [1.2, 1.3, 1.35, 1.4, 1.5]],
      [20, 1.95, [1.6, 1.8, 1.95, 2.1, 2.3]],
    ],
    losses: [
      [38, 2, 'unknown'],
      [21, 1, 'illness'],
    ],
    fastWeekdays: [],
    servings: [
      { food: 'fry-powder', moment: 'morning', zone: 'surface', place: 'beside the moss' },
      {
        food: 'fry-powder',
        moment: 'noon',
        zone: 'surface',
        place: 'beside the moss',
        weekdays: weekdays(6, 7),
      },
      {
        food: 'hatched-brine-shrimp',
        moment: 'evening',
        zone: 'mid',
        place: 'beside the moss',
        weight: 2,
      },
    ],
  },
  {
    name: 'Killifish fry',
    species: 'fundulopanchax-gardneri',
    tank: 'Fern tub',
    males: 0,
    females: 0,
    unsexed: 40,
    daysAgo: 9,
    stage: 'fry',
    lengths: [
      [8, 0.45],
      [2, 0.72],
    ],
    losses: [[5, 2, 'water']],
    fastWeekdays: [],
    servings: [
      {
        food: 'hatched-brine-shrimp',
        moment: 'morning',
        zone: 'mid',
        place: 'beside the moss',
        weight: 2,
      },
      { food: 'vinegar-worms-live', moment: 'noon', zone: 'mid', place: 'beside the moss' },
      {
        food: 'hatched-brine-shrimp',
        moment: 'evening',
        zone: 'mid',
        place: 'beside the moss',
        weight: 2,
      },
    ],
  },
  {
    name: 'Medaka',
    species: 'oryzias-latipes',
    tank: 'Trough',
    males: 5,
    females: 7,
    unsexed: 0,
    stage: 'adult',
    stages: [[24, 'resting']],
    lengths: [[50, 3.2]],
    fastWeekdays: [2, 4, 7],
    servings: [{ food: 'fine-flake', moment: 'noon', zone: 'surface', place: 'sunny corner' }],
    forgotten: 0.1,
  },
];
