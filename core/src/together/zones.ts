import type { Zone } from '@open-larder/catalogue';

/** The feeding zones in order from the surface; the core takes only types from the catalogue. */
export const ZONES: readonly Zone[] = ['surface', 'mid', 'bottom', 'film'];
