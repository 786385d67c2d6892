import type { Species, SpeciesField } from '@open-larder/catalogue';
import { formatNumber } from '@open-larder/say';
import type { Format } from '../store';

export const MOUTH_WORDS: Record<Species['mouth'], string> = {
  up: 'opens upward',
  terminal: 'opens forward',
  down: 'opens downward',
  sucker: 'a sucker',
};

/** Whose lengths and masses its mass is worked out from. */
export const PAIR_WORDS: Record<Species['lengthMass']['level'], string> = {
  own: 'from fish of its own kind',
  genus: 'from fish of its genus',
  family: 'from fish of its family',
  shape: 'from fish of its body shape',
};

export const NITRATE_WORDS: Record<Species['nitrate'], string> = {
  low: 'tolerates little nitrate',
  moderate: 'tolerates some nitrate',
  high: 'tolerates a lot of nitrate',
};

const percent = (share: number) => formatNumber(share * 100, 0);

/** «10 to 35 %» */
export const formatBand = (low: number, high: number): string =>
  low === high ? `${percent(low)} %` : `${percent(low)} to ${percent(high)} %`;

/** «23 to 29 °C» */
export function formatRange(
  format: Format,
  measure: 'temperature' | 'hardness',
  low: number,
  high: number,
) {
  const scale = format.scale(measure);
  const one = (value: number) =>
    formatNumber(scale.fromBase(value), measure === 'temperature' ? 0 : scale.decimals);
  return `${one(low)} to ${one(high)} ${scale.unit}`;
}

/** «bold», in a word for a share of 1. */
export function formatBoldness(boldness: number): string {
  if (boldness >= 0.8) return 'bold: first at any food';
  if (boldness >= 0.55) return 'comes readily';
  return boldness >= 0.3 ? 'waits for the bold' : 'shy: hangs back';
}

/** True where any of these figures is a default, not a figure of the row. */
export const isDefault = (species: Species, ...fields: SpeciesField[]): boolean =>
  fields.some((field) => species.defaulted.includes(field));
