import type { PreparationStep } from '@open-larder/catalogue';
import type { Place } from '@open-larder/core';

/** What stood on the shelf eight weeks ago. */
interface DemoStock {
  amountG: number;
  /** Price in cents. */
  costMinor: number | null;
  /** Days from then to best-before. */
  keeps: number;
  place?: Place;
  /** Days that it keeps once opened, where that is not as the catalogue says; null: for as long. */
  opened?: number | null;
  /** What this keeper does to it, where that is not as the catalogue says. */
  steps?: PreparationStep[];
}

/** Blanched in a batch and frozen in a single layer, so that a slice can be taken at a time. */
const BATCH = {
  place: 'freezer' as const,
  opened: 90,
  steps: [
    { kind: 'blanch' as const, leadMin: 15, workMin: 6, toMm: null },
    { kind: 'open-freeze' as const, leadMin: 240, workMin: 4, toMm: null },
    { kind: 'weigh-down' as const, leadMin: 1, workMin: 1, toMm: null },
  ],
};
/** The live shelf gives it: nothing of it is in jars. */
const CULTURE = { amountG: 0, keeps: 90, costMinor: null, opened: null };

export const SHELF: Record<string, DemoStock> = {
  'fine-flake': { amountG: 60, costMinor: 890, keeps: 320 },
  'nettle-wafer-small': { amountG: 90, costMinor: 1150, keeps: 400 },
  'sinking-pellet-small': { amountG: 80, costMinor: 940, keeps: 300 },
  'worm-tablet': { amountG: 70, costMinor: 820, keeps: 260 },
  'fry-powder': { amountG: 4.5, costMinor: 650, keeps: 160 },
  'frozen-water-fleas': { amountG: 256, costMinor: 1120, keeps: 150 },
  'frozen-cyclops': { amountG: 60, costMinor: 420, keeps: 60 },
  'frozen-midge-larvae': { amountG: 96, costMinor: 480, keeps: 190 },
  'frozen-brine-shrimp': { amountG: 96, costMinor: 450, keeps: 200 },
  gelatine: { amountG: 60, costMinor: 310, keeps: 900 },
  'spirulina-powder': { amountG: 50, costMinor: 990, keeps: 700 },
  'green-gel': { amountG: 18, costMinor: null, keeps: 70, place: 'freezer', opened: null },
  'courgette-slice': { amountG: 96, costMinor: 150, keeps: 75, ...BATCH },
  'spinach-leaf': { amountG: 80, costMinor: 260, keeps: 120, ...BATCH },
  'hatched-brine-shrimp': CULTURE,
  'moina-live': CULTURE,
  'vinegar-worms-live': CULTURE,
  'grindal-worms-live': CULTURE,
};
