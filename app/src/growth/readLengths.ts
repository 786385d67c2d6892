import { readMeasure } from '@open-larder/say';
import type { Format } from '../store';

/** «2.1 2,4 22 mm» */
export function readLengths(text: string, format: Format): { lengths?: number[]; error?: string } {
  const parts = text
    .replace(/(\d)\s+(mm|cm|in)\b/gi, '$1$2')
    .split(/[\s;|]+/)
    .filter(Boolean);
  const lengths: number[] = [];
  for (const part of parts) {
    const seen = readMeasure(part, 'length', format.units);
    if (seen.error !== undefined) return { error: seen.error };
    lengths.push(Math.round(seen.base * 1e6) / 1e6);
  }
  return lengths.length === 0 ? { error: 'enter at least one length' } : { lengths };
}
