import type { BroodEventRow } from '@open-larder/contract';

/** A brood of the demo; days are counted back from today. */
export interface DemoBrood {
  name: string;
  species: string;
  tank: string;
  group: string;
  youngGroup: string | null;
  tub: { name: string; litres: number; tempC: number; ph: number; filtered: boolean };
  events: ({ daysAgo: number; kind: BroodEventRow['kind']; note?: string } & Partial<
    Pick<BroodEventRow, 'count' | 'lengthMm' | 'shortMm' | 'longMm' | 'tempC' | 'share'>
  >)[];
}

export const BROODS: DemoBrood[] = [
  {
    name: 'Steel-blues, the first',
    species: 'fundulopanchax-gardneri',
    tank: 'Alder',
    group: 'Steel-blue killifish',
    youngGroup: null,
    tub: { name: 'Old fern tub', litres: 18, tempC: 23, ph: 7, filtered: false },
    events: [
      { daysAgo: 150, kind: 'spawned' },
      { daysAgo: 150, kind: 'eggsSeen', count: 36 },
      { daysAgo: 150, kind: 'parentsMoved', note: 'the mop was moved, not they' },
      { daysAgo: 132, kind: 'hatched' },
      { daysAgo: 132, kind: 'swimming' },
      { daysAgo: 132, kind: 'firstFood' },
      { daysAgo: 130, kind: 'counted', count: 29 },
      { daysAgo: 124, kind: 'measured', lengthMm: 6.4, shortMm: 5.5, longMm: 7.2 },
      { daysAgo: 119, kind: 'lost', count: 7, note: 'the change was left out for two days' },
      { daysAgo: 110, kind: 'measured', lengthMm: 9.5, shortMm: 7, longMm: 12 },
      { daysAgo: 95, kind: 'measured', lengthMm: 13.5, shortMm: 9, longMm: 17 },
      { daysAgo: 94, kind: 'sorted' },
      { daysAgo: 70, kind: 'counted', count: 21 },
      { daysAgo: 60, kind: 'measured', lengthMm: 22, shortMm: 18, longMm: 26 },
      { daysAgo: 31, kind: 'rehomed', count: 14, note: 'to another keeper' },
      { daysAgo: 30, kind: 'ended', note: '7 kept' },
    ],
  },
  {
    name: 'Steel-blues of the mop',
    species: 'fundulopanchax-gardneri',
    tank: 'Alder',
    group: 'Steel-blue killifish',
    youngGroup: 'Killifish fry',
    tub: { name: 'Fern tub', litres: 7, tempC: 24.5, ph: 6.6, filtered: false },
    events: [
      { daysAgo: 26, kind: 'spawned' },
      { daysAgo: 26, kind: 'eggsSeen', count: 52 },
      { daysAgo: 26, kind: 'parentsMoved', note: 'the mop was moved, not they' },
      { daysAgo: 18, kind: 'warmth', tempC: 20, note: 'a cold night in the shed' },
      { daysAgo: 16, kind: 'warmth', tempC: 24.5 },
      { daysAgo: 9, kind: 'hatched' },
      { daysAgo: 9, kind: 'swimming' },
      { daysAgo: 9, kind: 'firstFood' },
      { daysAgo: 9, kind: 'counted', count: 40 },
      { daysAgo: 8, kind: 'measured', lengthMm: 4.5, shortMm: 4.2, longMm: 4.9 },
      { daysAgo: 7, kind: 'changed', share: 0.3 },
      { daysAgo: 5, kind: 'changed', share: 0.3 },
      { daysAgo: 5, kind: 'lost', count: 2, note: 'the morning after a late meal' },
      { daysAgo: 3, kind: 'changed', share: 0.3 },
      { daysAgo: 2, kind: 'measured', lengthMm: 7.2, shortMm: 6, longMm: 8.3 },
      { daysAgo: 1, kind: 'changed', share: 0.4 },
    ],
  },
];
