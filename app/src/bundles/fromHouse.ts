import type { ComponentType } from 'react';
import { afterPaint } from '../ui/afterPaint';
import { lazyComponent } from '../ui/lazyComponent';

type House = typeof import('./house');

let house: House | null = null;

/** Fetch the rest of the app, once. @throws where its script does not come */
const loadHouse = async (): Promise<House> => (house ??= await import('./house'));

/**
 * A part of the rest of the app, drawn at once where that is there already.
 * @param quiet what comes may be nothing: no place is kept for it
 */
export const fromHouse = <P extends object>(
  pick: (house: House) => ComponentType<P>,
  quiet = false,
) =>
  lazyComponent(
    async () => {
      // What is drawn without it is painted first.
      await new Promise<void>(afterPaint);
      return pick(await loadHouse());
    },
    {
      quiet,
      there: () => house && pick(house),
    },
  );
