import type { Belly } from '@open-larder/core';

/** How a group looked on one of the last days. */
export interface DemoLook {
  daysAgo: number;
  group: string;
  belly: Belly;
  hungBack?: boolean;
  note?: string;
}

/** The shy loaches are out-eaten; the gouramis get more than they need since conditioning began. */
export const LOOKS: DemoLook[] = [
  { daysAgo: 5, group: 'Pearl gouramis', belly: 4 },
  { daysAgo: 1, group: 'Pearl gouramis', belly: 4, note: 'leaves the last of it' },
  { daysAgo: 6, group: 'Kuhli loaches', belly: 2, hungBack: true },
  { daysAgo: 3, group: 'Marbled hatchetfish', belly: 3 },
  { daysAgo: 2, group: 'Killifish fry', belly: 3 },
];
