import type { ComponentType } from 'react';
import { afterPaint } from '../ui/afterPaint';
import { lazyComponent } from '../ui/lazyComponent';
import { houseNeeded, houseNow, loadHouse } from './loadHouse';

type House = Awaited<ReturnType<typeof loadHouse>>;
type Pick<P> = (house: House) => ComponentType<P>;

/**
 * A part of the rest of the app, drawn at once where that is there already.
 * @param quiet what comes may be nothing: no place is kept for it
 */
export const fromHouse = <P extends object>(pick: Pick<P>, quiet = false) =>
  lazyComponent(
    async () => {
      // What is drawn without it is painted first.
      await new Promise<void>(afterPaint);
      return pick(await loadHouse());
    },
    { quiet, there: thereBy(pick) },
  );

/** A quiet part around every place: it waits until the place is drawn, and needs the rest of the app itself. */
export const fromHouseLater = <P extends object>(pick: Pick<P>) =>
  lazyComponent(
    async () => {
      await houseNeeded();
      return pick(await loadHouse());
    },
    { quiet: true, there: thereBy(pick) },
  );

function thereBy<P extends object>(pick: Pick<P>): () => ComponentType<P> | null {
  return () => {
    const house = houseNow();
    return house && pick(house);
  };
}
