import type { AnswerCreate, RatingCreate, TrialCreate } from '@open-larder/contract';
import type { Seen } from '@open-larder/core/proposal';

/** What the demo’s keeper tried, rated and decided. */
interface Ledger {
  trials: readonly (Pick<TrialCreate, 'name' | 'kind' | 'weeks' | 'difference' | 'note'> & {
    group: string;
    daysAgo: number;
    changedDaysAgo: number;
  })[];
  ratings: readonly (Pick<RatingCreate, 'colour' | 'growth' | 'note'> & {
    group: string;
    food: string;
    daysAgo: number;
  })[];
  answers: readonly (Pick<AnswerCreate, 'accepted' | 'later'> & {
    group: string;
    daysAgo: number;
    change: number;
    signs: readonly { seen: Seen; daysAgo: number }[];
  })[];
}

export const LEDGER: Ledger = {
  trials: [
    {
      name: 'More hatched shrimp for the young',
      kind: 'tank',
      group: 'Young threadfins',
      daysAgo: 55,
      changedDaysAgo: 27,
      weeks: 8,
      difference: 0.3,
      note: 'Twice the evening shrimp from the change on.',
    },
  ],
  ratings: [
    {
      group: 'Threadfin rainbowfish',
      food: 'hatched-brine-shrimp',
      daysAgo: 30,
      colour: 'better',
      growth: null,
      note: 'fins redder',
    },
    {
      group: 'Young threadfins',
      food: 'hatched-brine-shrimp',
      daysAgo: 13,
      colour: 'same',
      growth: 'better',
      note: '',
    },
    {
      group: 'Pearl gouramis',
      food: 'frozen-midge-larvae',
      daysAgo: 6,
      colour: 'better',
      growth: null,
      note: 'males orange to the chin',
    },
  ],
  answers: [
    {
      group: 'Kuhli loaches',
      daysAgo: 33,
      change: 0.08,
      accepted: false,
      later: false,
      signs: [
        { seen: { kind: 'belly', score: 2, still: true }, daysAgo: 34 },
        { seen: { kind: 'belly', score: 2, still: true }, daysAgo: 37 },
      ],
    },
  ],
};
