import { readMeasure } from '@open-larder/core/units';
import type { Words } from '../store';

/** «2.1 2,4 22 mm» */
export function readLengths(text: string, words: Words): { lengths?: number[]; fault?: string } {
  const parts = text
    .replace(/(\d)\s+(mm|cm|in)\b/gi, '$1$2')
    .split(/[\s;|]+/)
    .filter(Boolean);
  const lengths: number[] = [];
  for (const part of parts) {
    const seen = readMeasure(part, 'length', words.units);
    if (seen.fault !== undefined) return { fault: seen.fault };
    lengths.push(Math.round(seen.base * 1e6) / 1e6);
  }
  return lengths.length === 0 ? { fault: 'enter at least one length' } : { lengths };
}
