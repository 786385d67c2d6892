/** A meal of the last days, as its keeper noted it. */
export interface DemoSeen {
  daysAgo: number;
  tank: string;
  moment: string;
  clearedMin: number | null;
  left: number | null;
  /** By name of the group: the share that came. */
  came: Record<string, number>;
}

const tarn = (daysAgo: number, left: number, loaches: number): DemoSeen => ({
  daysAgo,
  tank: 'Tarn',
  moment: 'After work',
  clearedMin: null,
  left,
  came: { 'Marbled hatchetfish': 1, 'Threadfin rainbowfish': 1, 'Kuhli loaches': loaches },
});

/** The gouramis leave some of what they get since they are conditioned. */
const millpond = (daysAgo: number, left: number): DemoSeen => ({
  daysAgo,
  tank: 'Millpond',
  moment: 'After work',
  clearedMin: null,
  left,
  came: { 'Pearl gouramis': 1 },
});

const gone = (daysAgo: number, tank: string, moment: string, clearedMin: number): DemoSeen => ({
  daysAgo,
  tank,
  moment,
  clearedMin,
  left: null,
  came: {},
});

/** The shy loaches hang back in the evening, and the others are full before all of it is gone. */
export const SEEN: DemoSeen[] = [
  tarn(6, 0.5, 0),
  tarn(4, 0.25, 0.5),
  tarn(3, 0.5, 0),
  tarn(1, 0.5, 0),
  gone(5, 'Alder', 'Before work', 6),
  gone(3, 'Alder', 'Before work', 7.5),
  gone(1, 'Alder', 'Before work', 5),
  gone(4, 'Trough', 'Midday break', 3),
  gone(2, 'Trough', 'Midday break', 4),
  millpond(4, 0.25),
  millpond(2, 0.5),
  {
    daysAgo: 2,
    tank: 'Tarn',
    moment: 'After lights-out',
    clearedMin: null,
    left: 0.75,
    came: { 'Kuhli loaches': 0.5 },
  },
];
