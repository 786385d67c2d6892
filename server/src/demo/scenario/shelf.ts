/** What stood on the shelf eight weeks ago: grams, price in cents, and days from then to best-before. */
export const SHELF: Record<string, { amountG: number; costMinor: number | null; keeps: number }> = {
  'fine-flake': { amountG: 60, costMinor: 890, keeps: 320 },
  'nettle-wafer-small': { amountG: 90, costMinor: 1150, keeps: 400 },
  'sinking-pellet-small': { amountG: 80, costMinor: 940, keeps: 300 },
  'worm-tablet': { amountG: 70, costMinor: 820, keeps: 260 },
  'fry-powder': { amountG: 2.6, costMinor: 650, keeps: 160 },
  'frozen-water-fleas': { amountG: 256, costMinor: 1120, keeps: 150 },
  'frozen-cyclops': { amountG: 60, costMinor: 420, keeps: 60 },
  'frozen-midge-larvae': { amountG: 96, costMinor: 480, keeps: 190 },
  'frozen-brine-shrimp': { amountG: 96, costMinor: 450, keeps: 200 },
  'green-gel': { amountG: 40, costMinor: null, keeps: 70 },
  'courgette-slice': { amountG: 96, costMinor: 150, keeps: 75 },
  'spinach-leaf': { amountG: 60, costMinor: 260, keeps: 120 },
  'hatched-brine-shrimp': { amountG: 60, costMinor: 1400, keeps: 90 },
  'moina-live': { amountG: 120, costMinor: null, keeps: 90 },
  'vinegar-worms-live': { amountG: 20, costMinor: null, keeps: 120 },
  'grindal-worms-live': { amountG: 40, costMinor: null, keeps: 120 },
};
