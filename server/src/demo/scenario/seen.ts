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

const tarn = (daysAgo: number, clearedMin: number, loaches: number): DemoSeen => ({
  daysAgo,
  tank: 'Tarn',
  moment: 'After work',
  clearedMin,
  left: null,
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

/** The shy loaches hang back in the evening, and the others leave less than one would think. */
export const SEEN: DemoSeen[] = [
  tarn(6, 9, 0),
  tarn(4, 8, 0.5),
  tarn(3, 10, 0),
  tarn(1, 8.5, 0),
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
