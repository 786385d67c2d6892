import type { FoodKind } from '@open-larder/catalogue';
import type { LabelError, LabelPart } from '@open-larder/core/label';
import { formatGrams } from './amounts';
import { formatPercent } from './figures';
import { formatDay } from './time';

/** Where a figure of a label comes from. */
export function formatLabelPart({ words, dry }: LabelPart, kind: FoodKind): string {
  if (words === null) return `not on the label: usual for ${kind} food`;
  return `«${words}${dry ? ', of dry matter' : ''}»`;
}

/** What is wrong with a label, and what to do. */
export function formatLabelError(fault: LabelError): string {
  switch (fault.is) {
    case 'unread':
      return `the label names ${fault.nutrients.join(' and ')}, but the figure could not be read; type it in`;
    case 'noAnalysis':
      return 'no analysis was found here; write it such as «crude protein 46 %, crude fat 8 %»';
    case 'overWhole':
      return `the parts add up to ${(fault.sum * 100).toFixed(1)} %; check the label for a value that was misread`;
  }
}

/** A lot as its label says it. Shares of dry matter; masses in g; days as YYYY-MM-DD. */
export interface LotFacts {
  until: string | null;
  boughtOn: string;
  place: string;
  amountG: number;
  unit: { plural: string; massG: number };
  dry: { protein: number; fat: number };
  plantShare: number;
  cautions: readonly string[];
}

/** How long a lot keeps, and the small print below it. */
export function formatLotLabel(lot: LotFacts): { useBy: string; rest: string[] } {
  const { until, boughtOn, place, amountG, unit, dry, plantShare, cautions } = lot;
  const pieces = Math.floor(amountG / unit.massG + 1e-6);
  return {
    useBy: until === null ? 'no use-by date' : `use by ${formatDay(until)}`,
    rest: [
      `since ${formatDay(boughtOn)} · ${place} · ${formatGrams(amountG)}, ${pieces} ${unit.plural} of ${formatGrams(unit.massG)}`,
      `dry matter: protein ${formatPercent(dry.protein)}, fat ${formatPercent(dry.fat)}, plant ${formatPercent(plantShare)}`,
      ['fish food, not for people', ...cautions].join(' · '),
    ],
  };
}
