import type { PieceForm } from './vocabulary';

/** Share of length × width × the third side that a form fills. */
const FILLS: Record<PieceForm, (length: number, width: number) => number> = {
  flake: (length, width) => 0.7 * length * length * width,
  leaf: (length, width) => 0.6 * length * length * width,
  disc: (length, width) => (Math.PI / 4) * length * length * width,
  block: (length, width) => length * width * width,
  stick: (length, width) => (Math.PI / 4) * length * width * width,
  worm: (length, width) => (Math.PI / 4) * length * width * width,
  grain: (length, width) => (Math.PI / 6) * length * width * width,
  shell: (length, width) => (Math.PI / 6) * length * width * width,
  powder: (length, width) => (Math.PI / 6) * length * width * width,
  crustacean: (length, width) => (Math.PI / 6) * length * width * width,
};

/** Volume of a piece, mm³, by its form. */
export const pieceVolumeMm3 = (form: PieceForm, lengthMm: number, widthMm: number): number =>
  FILLS[form](lengthMm, widthMm);
