import type { Reading } from '@open-larder/core/water/range';

export const READING_WORDS: Record<Reading, string> = {
  nitrate: 'Nitrate',
  nitrite: 'Nitrite',
  tan: 'Ammonia',
  ph: 'pH',
  gh: 'General hardness',
  kh: 'Carbonate hardness',
  tdsMgL: 'Dissolved solids',
  tempC: 'Temperature',
};
