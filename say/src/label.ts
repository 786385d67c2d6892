import type { FoodKind } from '@open-larder/catalogue';
import type { LabelError, LabelPart } from '@open-larder/core/label';

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
