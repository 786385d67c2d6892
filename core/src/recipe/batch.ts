import type { Losses } from './mixture';

/** How a mix is poured out and cut. */
export interface Tray {
  lengthCm: number;
  widthCm: number;
  /** How deep it is poured. */
  depthCm: number;
  columns: number;
  rows: number;
}

/** Mass of a set or frozen mix, g/cm³: mostly water. Assumption. */
const DENSITY = 1.03;

/** Grams that a full tray holds. */
export const trayMassG = (tray: Tray): number =>
  tray.lengthCm * tray.widthCm * tray.depthCm * DENSITY;

/** Grams in one piece of a tray that is cut into columns and rows. */
export const pieceMassG = (tray: Tray): number => trayMassG(tray) / (tray.columns * tray.rows);

export interface Batch {
  /** What goes in, and what comes out, g. */
  rawG: number;
  massG: number;
  /** Grams of each ingredient, in the order of the shares. */
  amountsG: number[];
  /** Pieces that it is cut into, and trays that are poured; the last may not be full. */
  pieces: number;
  trays: number;
}

/**
 * What a batch takes and gives.
 * @param shares of all that goes in; they add up to 1
 * @param massG  grams that are wanted after all losses, more than 0
 */
export function batchOf(
  shares: readonly number[],
  losses: Losses,
  tray: Tray,
  massG: number,
): Batch {
  const rawG = massG / (1 - losses.cooked - losses.drained);
  return {
    rawG,
    massG,
    amountsG: shares.map((share) => share * rawG),
    pieces: Math.floor(massG / pieceMassG(tray) + 1e-6),
    trays: Math.ceil(massG / trayMassG(tray) - 1e-6),
  };
}
