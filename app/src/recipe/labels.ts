import type { RecipeRow } from '@open-larder/contract';
import { ofDryMatter } from '@open-larder/core/food';
import { formatGrams, formatNumber } from '@open-larder/say';
import type { Miss, Target } from '@open-larder/core/balance';
import type { Mixture } from '@open-larder/core/recipe';

export const percent = (share: number, decimals = 0) => `${formatNumber(share * 100, decimals)} %`;

/** As a field is headed. */
export const TARGET_NAMES: Record<Target, string> = {
  protein: 'Protein',
  fat: 'Fat',
  plant: 'Plant',
  moisture: 'Moisture',
};
const TARGET_WORDS: Record<Target, string> = {
  protein: 'protein in the dry matter',
  fat: 'fat in the dry matter',
  plant: 'of the dry matter from plants',
  moisture: 'moisture',
};

/** «46 % protein in the dry matter; 40 to 45 % was wanted.» */
export const formatMiss = ({ target, wanted, reached }: Miss): string =>
  `${percent(reached)} ${TARGET_WORDS[target]}; ${percent(wanted[0])} to ${percent(wanted[1])} was wanted.`;

/** A mix in one line, by its dry matter. */
export function formatMix({ composition, plantShare }: Mixture): string {
  const dry = ofDryMatter(composition);
  return `dry matter: protein ${percent(dry.protein)}, fat ${percent(dry.fat)}, plant ${percent(plantShare)} · moisture ${percent(composition.moisture)}`;
}

export const formatPieces = (pieces: number, massG: number): string =>
  `${pieces} ${pieces === 1 ? 'piece' : 'pieces'} of ${formatGrams(massG)}`;

/** What is lost on the way, where anything is. */
export function formatLosses({ cooked, drained }: Pick<RecipeRow, 'cooked' | 'drained'>): string {
  return [
    cooked > 0 ? `${percent(cooked, 1)} steams off` : null,
    drained > 0 ? `${percent(drained, 1)} drains off` : null,
  ]
    .filter(Boolean)
    .join(', ');
}
