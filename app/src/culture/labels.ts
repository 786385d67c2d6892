import type { CultureKind } from '@open-larder/catalogue/cultures';
import type { VesselEventRow, VesselRow } from '@open-larder/contract';
import type { Clarity, Density, Tie, VesselState } from '@open-larder/core/culture';
import { formatGrams, formatNumber } from '@open-larder/say';
import type { Format } from '../store';

export const DENSITY_WORDS: Record<Density, string> = {
  1: 'hardly any',
  2: 'thin',
  3: 'fair',
  4: 'dense',
  5: 'crowded',
};

export const CLARITY_WORDS: Record<Clarity, string> = {
  clear: 'clear',
  cloudy: 'cloudy',
  foul: 'foul, it smells',
};

export const STATE_WORDS: Record<VesselState, string> = {
  building: 'still building up',
  giving: 'giving',
  fading: 'fading',
  over: 'spent',
  crashed: 'crashed',
  resting: 'resting',
  ended: 'ended',
};

export const TIE_WORDS: Record<Tie, string> = {
  water: 'the same water',
  tools: 'the same tools',
  parent: 'this one came from it',
  child: 'it came from this one',
  sibling: 'both came from the same one',
};

/** «10 L», «2 dm²», «1 jar» */
export function formatSize(kind: CultureKind, measure: number, format: Format): string {
  if (kind.measure === 'L') return format.quantity('volume', measure);
  if (kind.measure === 'jar')
    return `${formatNumber(measure, 0)} ${measure === 1 ? 'jar' : 'jars'}`;
  return format.quantity('area', measure);
}

/** «about 2.1 g (1.2 to 3.4 g), giving» */
export function formatStatus({ status }: Pick<VesselRow, 'status'>): string {
  const { state, contentG, lowG, highG, givesG } = status;
  if (state === 'crashed' || state === 'ended' || state === 'over') return STATE_WORDS[state];
  const there = `about ${formatGrams(contentG)} (${formatGrams(lowG)} to ${formatGrams(highG)})`;
  if (state === 'resting') return `${there}, resting`;
  const can = givesG > 0.0005 ? `${formatGrams(givesG)} can be taken today` : 'leave it for now';
  return `${there}; ${can}`;
}

const DONE_WORDS: Record<VesselEventRow['kind'], string> = {
  fed: 'Fed',
  topped: 'Topped up',
  crashed: 'Crashed',
  rested: 'Put to rest',
  woken: 'Taken up again',
  ended: 'Ended',
  seen: 'Looked',
  counted: 'Counted',
  harvested: 'Harvested',
  changed: 'Water changed',
  split: 'Split',
  added: 'Put in more',
  warmth: 'Temperature read',
  restarted: 'Set up anew',
};

const percent = (share: number) => `${Math.round(share * 100)} %`;

/** «Harvested 1.2 g, for a meal» */
export function formatEvent(event: VesselEventRow, format: Format): string {
  const { kind, massG, share, tempC, density, clarity, count, sampleMl, feedingId } = event;
  const parts: string[] = [];
  if (massG !== null) parts.push(formatGrams(massG));
  if (share !== null) parts.push(percent(share));
  if (tempC !== null) parts.push(format.quantity('temperature', tempC));
  if (density !== null) parts.push(DENSITY_WORDS[density as Density]);
  if (clarity !== null) parts.push(CLARITY_WORDS[clarity]);
  if (count !== null) {
    parts.push(`${formatNumber(count, 0)}${sampleMl === null ? ' animals' : ` in ${sampleMl} mL`}`);
  }
  if (feedingId !== null) parts.push('for a meal');
  return [DONE_WORDS[kind], parts.join(', ')].filter(Boolean).join(': ');
}
