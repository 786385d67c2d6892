import type { FoodFamily, FoodKind, PieceForm } from '@open-larder/catalogue';
import { pieceVolumeMm3 } from '@open-larder/catalogue/piece';

/** The form of a food's pieces, and their size as far as it is known. */
export interface Pieces {
  kind: FoodKind;
  family: FoodFamily;
  pieceForm?: PieceForm | null;
  /** Longest side, mm. */
  particleMinMm: number | null;
  particleMaxMm: number | null;
  /** What has to pass the mouth where it goes in end on: thickness of flakes, discs and leaves, mm. */
  widthMinMm?: number | null;
  widthMaxMm?: number | null;
}

/** The form that pieces have where it was not said. Assumption by kind and family. */
export function formOf({
  pieceForm,
  kind,
  family,
}: Omit<Pieces, 'particleMinMm' | 'particleMaxMm'>) {
  if (pieceForm) return pieceForm;
  if (family === 'wriggle') return 'worm';
  if (family === 'mortar') return 'powder';
  if (kind === 'gel' || kind === 'mix') return 'block';
  if (kind === 'frozen') return 'crustacean';
  if (kind === 'fresh') return 'leaf';
  return family === 'leaf' ? 'disc' : 'grain';
}

/**
 * Width over length where it was not measured. Flakes: 0.15 to 0.30 mm thick whatever their size
 * (practice). The others are assumptions for usual foods of the form.
 */
const SLENDER: Record<Exclude<PieceForm, 'flake'>, number> = {
  grain: 1,
  powder: 1,
  block: 1,
  stick: 0.7,
  shell: 0.7,
  disc: 0.3,
  crustacean: 0.3,
  worm: 0.08,
  leaf: 0.015,
};
const FLAKE_MM = 0.2;

/** Width of a piece of that length, mm: between the given ends, else by its form. */
export function widthAt(pieces: Pieces, lengthMm: number): number {
  const { particleMinMm: short, particleMaxMm: long, widthMinMm: thin, widthMaxMm: thick } = pieces;
  const form = formOf(pieces);
  if (thin == null || thick == null || short === null || long === null) {
    return form === 'flake' ? Math.min(lengthMm, FLAKE_MM) : SLENDER[form] * lengthMm;
  }
  const along = long > short ? Math.log(lengthMm / short) / Math.log(long / short) : 0.5;
  const width = thin * (thick / thin) ** Math.min(1, Math.max(0, along));
  // A piece cut or crushed shorter than it was wide is no longer wider than long.
  return Math.min(lengthMm, width);
}

/** g/cm³ of a piece as fed. Practice: extruded dry food 0.6 to 1.0, pressed 1.1 to 1.3, wet about 1. */
export function densityOf(kind: FoodKind, form: PieceForm): number {
  if (kind !== 'dry') return 1.02;
  if (form === 'worm' || form === 'crustacean') return 0.25;
  return form === 'disc' || form === 'stick'
    ? 1.15
    : form === 'flake' || form === 'leaf'
      ? 0.6
      : 0.9;
}

/** Grams in one piece of that length. */
export function massOfPieceG(pieces: Pieces, lengthMm: number): number {
  const form = formOf(pieces);
  const volume = pieceVolumeMm3(form, lengthMm, widthAt(pieces, lengthMm));
  return (densityOf(pieces.kind, form) * volume) / 1000;
}
