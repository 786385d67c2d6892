import { lazyComponent } from '../ui';

/** The chart package is large: it is fetched with the first chart. */
export const Chart = lazyComponent(async () => (await import('./Chart')).default);
