import type { RecipeFields } from '@open-larder/contract';

/** The one mix that is made in the Weir Room, with its ingredients by their keys in the catalogue. */
export const GREEN_GEL: Omit<RecipeFields, 'ingredients'> & {
  product: string;
  ingredients: { food: string | null; share: number; binder: boolean }[];
} = {
  product: 'green-gel',
  name: 'Green gel',
  kind: 'gel',
  place: 'freezer',
  keepsDays: 70,
  ingredients: [
    { food: 'spinach-leaf', share: 0.44, binder: false },
    { food: 'spirulina-powder', share: 0.09, binder: false },
    { food: 'gelatine', share: 0.07, binder: true },
    { food: null, share: 0.4, binder: false },
  ],
  cooked: 0,
  drained: 0.04,
  tray: { lengthCm: 12, widthCm: 10, depthCm: 0.8, columns: 16, rows: 12 },
  targets: { protein: [0.45, 0.7], fat: null, plant: [0.5, 0.8], moisture: [0.75, 0.85] },
  method:
    'Bloom the gelatine in half of the water, cold. Blend the spinach with the rest. Warm the gelatine to 60 °C, stir everything in, pour, and let it set in the fridge. Cut, freeze in one layer, and put by in a box.',
};
