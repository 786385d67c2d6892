/** A vessel on the demo's live shelf; days are counted back from today. */
export interface DemoVessel {
  key: string;
  kindKey: string;
  name: string;
  measure: number;
  tempC: number;
  place: string;
  strain?: string;
  startedDaysAgo: number;
  startG: number | null;
  from?: string;
  startedFrom: string;
  water: string;
  tools: string;
  /** The food of the shelf that it gives. */
  food: string;
  /** What is served of that food comes from here. */
  serves: boolean;
  /** Fed every so many days, its water changed every so many; never where it is left out. */
  fedEvery?: number;
  changedEvery?: number;
  /** Set up anew every so many days, with so much, counted from `startedDaysAgo`. */
  again?: { every: number; startG: number };
  seen: {
    daysAgo: number;
    density: 1 | 2 | 3 | 4 | 5 | null;
    clarity: 'clear' | 'cloudy' | 'foul' | null;
    note?: string;
  }[];
  warmth?: { daysAgo: number; tempC: number }[];
}

export const VESSELS: DemoVessel[] = [
  {
    key: 'trough',
    kindKey: 'moina',
    name: 'Moina trough',
    measure: 90,
    tempC: 24,
    place: 'under the skylight',
    startedDaysAgo: 75,
    startG: null,
    startedFrom: 'a handful from another keeper',
    water: 'mill stream butt',
    tools: 'fine green net',
    food: 'moina-live',
    serves: true,
    fedEvery: 1,
    changedEvery: 7,
    seen: [
      { daysAgo: 40, density: 4, clarity: 'clear' },
      { daysAgo: 24, density: 3, clarity: 'clear' },
      { daysAgo: 10, density: 4, clarity: 'cloudy', note: 'fed a little too well' },
      { daysAgo: 2, density: 4, clarity: 'clear' },
    ],
  },
  {
    key: 'bucket',
    kindKey: 'moina',
    name: 'Moina bucket',
    measure: 12,
    tempC: 26,
    place: 'by the stove',
    startedDaysAgo: 33,
    startG: 0.4,
    from: 'trough',
    startedFrom: 'the trough',
    water: 'mill stream butt',
    tools: 'fine green net',
    food: 'moina-live',
    serves: false,
    fedEvery: 2,
    seen: [
      { daysAgo: 20, density: 3, clarity: 'clear' },
      { daysAgo: 9, density: 4, clarity: 'clear' },
      { daysAgo: 2, density: 5, clarity: 'cloudy' },
      { daysAgo: 0, density: 5, clarity: 'foul', note: 'smells, specks at the surface' },
    ],
    warmth: [
      { daysAgo: 2, tempC: 31 },
      { daysAgo: 0, tempC: 32.5 },
    ],
  },
  {
    key: 'vinegar',
    kindKey: 'vinegar-worms',
    name: 'Vinegar worms, bottle',
    measure: 2,
    tempC: 20,
    place: 'back shelf',
    startedDaysAgo: 110,
    startG: null,
    startedFrom: 'the bottle before it',
    water: '',
    tools: 'long pipette',
    food: 'vinegar-worms-live',
    serves: true,
    fedEvery: 30,
    seen: [{ daysAgo: 14, density: 4, clarity: null }],
  },
  {
    key: 'grindal',
    kindKey: 'grindal-worms',
    name: 'Grindal worms, box',
    measure: 1.5,
    tempC: 22,
    place: 'dark cupboard',
    startedDaysAgo: 62,
    startG: null,
    startedFrom: 'half of an older box',
    water: '',
    tools: 'flat brush',
    food: 'grindal-worms-live',
    serves: true,
    fedEvery: 2,
    seen: [{ daysAgo: 6, density: 4, clarity: null }],
  },
  ...(['A', 'B'] as const).map((letter, at) => ({
    key: `jar${letter}`,
    kindKey: 'brine-shrimp',
    name: `Brine shrimp, jar ${letter}`,
    measure: 1,
    tempC: 27,
    place: 'warm shelf',
    startedDaysAgo: 58 - at,
    startG: 0.25,
    startedFrom: 'dried eggs',
    water: '',
    tools: 'shrimp sieve',
    food: 'hatched-brine-shrimp',
    serves: true,
    again: { every: 2, startG: 0.25 },
    seen: [],
  })),
];
