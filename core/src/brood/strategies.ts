import type { Breeding } from '@open-larder/catalogue';
import type { EggCare } from './vocabulary';

/** What follows from the way in which a species breeds, beside the timetable of its row (breedingStrategies.csv). */
export interface Strategy {
  /** Where its eggs usually stay. */
  eggCare: EggCare;
  /** They hatch in a mouth: the first that is seen is young that are let go. */
  hatchesUnseen: boolean;
  /** Its young graze film from the first day on. */
  youngGraze: boolean;
  /** One that stays away from food may be holding eggs. */
  holdsEggs: boolean;
  /**
   * Adults that lay or carry all the time need more than to stay as they are: so many times
   * maintenance. Practice, 1.5 to 2 for live-bearers, danios and fish that spawn daily.
   */
  layingFactor: number;
  /**
   * Days from mating, or from the last brood, until young are there, where no eggs are waited for; null
   * for those that lay. Practice; warmth shifts them, an assumption.
   */
  bornAfter: { from: number; to: number } | null;
  /** Both go without food while they spawn; others are fed as they mate. Practice. */
  pairFasts: boolean;
  /** Young of one clutch, about, that are fed for until they are counted. Practice. */
  usualYoung: number;
  /** Share of a usual portion of one that guards or holds: nothing, half where it eats little, or all of it. Assumption. */
  guardShare: number;
}

const USUAL: Strategy = {
  eggCare: 'left',
  hatchesUnseen: false,
  youngGraze: false,
  holdsEggs: false,
  layingFactor: 1,
  bornAfter: null,
  pairFasts: false,
  usualYoung: 50,
  guardShare: 1,
};

/** Every way of breeding that the catalogue knows: a new one is a row here. */
export const STRATEGIES: Record<Breeding, Strategy> = {
  'egg scatterer': { ...USUAL, layingFactor: 1.3, pairFasts: true },
  'plant spawner': { ...USUAL, eggCare: 'moved', layingFactor: 1.6, usualYoung: 30 },
  'surface spawner': { ...USUAL, pairFasts: true, usualYoung: 30, guardShare: 0.5 },
  'cave spawner': { ...USUAL, usualYoung: 60, guardShare: 0 },
  'mouth-brooder': {
    ...USUAL,
    eggCare: 'released',
    hatchesUnseen: true,
    holdsEggs: true,
    usualYoung: 20,
    guardShare: 0,
  },
  'bubble-nester': { ...USUAL, usualYoung: 100, guardShare: 0.5 },
  annual: { ...USUAL, eggCare: 'stored', layingFactor: 1.8, usualYoung: 30 },
  'live-bearer': {
    ...USUAL,
    layingFactor: 1.6,
    bornAfter: { from: 24, to: 35 },
    usualYoung: 25,
  },
  'skin feeder': { ...USUAL, usualYoung: 80 },
  'mussel spawner': { ...USUAL, bornAfter: { from: 21, to: 35 }, usualYoung: 15 },
  'egg carrier': { ...USUAL, youngGraze: true, usualYoung: 25 },
  'clutch layer': { ...USUAL, youngGraze: true },
  'not bred at home': USUAL,
};
