import type { Because, FeedingStyle, FeedingStyleKey } from '@open-larder/core/week';

/** What a choice is about, and what each way means in a sentence. */
export const FEEDING_STYLE_LABELS: {
  [K in FeedingStyleKey]: {
    label: string;
    ways: { [W in FeedingStyle[K]]: { label: string; means: string } };
  };
} = {
  portion: {
    label: 'Portion',
    ways: {
      weight: {
        label: 'by weight',
        means: 'A share of body mass, worked out from energy, warmth and stage.',
      },
      clearing: {
        label: 'by clearing time',
        means: 'What is gone in about three minutes, adjusted meal by meal.',
      },
      grazing: {
        label: 'always grazing',
        means: 'Food is in the tank all day, a little at a time.',
      },
    },
  },
  meals: {
    label: 'Rhythm',
    ways: {
      two: {
        label: 'two meals',
        means: 'Two meals a day at most: less work, fuller stomachs.',
      },
      many: { label: 'many small ones', means: 'Three or more: for guts that empty fast.' },
    },
  },
  lift: {
    label: 'Leftovers',
    ways: {
      soon: { label: 'lift soon', means: 'What is left after a quarter of an hour is taken out.' },
      day: {
        label: 'plants for a day',
        means: 'Plant food lies up to a day, since it is eaten as it softens.',
      },
      crumbs: {
        label: 'leave crumbs',
        means: 'Crumbs stay on purpose, where fry or shrimp find them.',
      },
    },
  },
  staple: {
    label: 'Staple',
    ways: {
      dry: { label: 'dry base', means: 'A good dry food as the base, live and frozen as treats.' },
      fresh: { label: 'fresh only', means: 'Fresh, frozen and live food, and nothing dry.' },
    },
  },
  fast: {
    label: 'Rest day',
    ways: {
      weekly: { label: 'weekly', means: 'One day a week without food.' },
      none: { label: 'never', means: 'Something every day.' },
    },
  },
  soak: {
    label: 'Dry food',
    ways: {
      soaked: {
        label: 'soaked',
        means: 'Soaked first, so that it sinks and does not swell inside.',
      },
      dry: { label: 'as it is', means: 'Given dry, so that it floats as long as it was made to.' },
    },
  },
};

export const BECAUSE_WORDS: Record<Because, string> = {
  fry: 'there are fry, which eat little and often',
  growers: 'most of the food is for fish that are growing',
  grazers: 'most of the food is for fish that graze',
  noStomachs: 'most of the food is for fish without a stomach',
  proteinSensitive: 'there are young fish that should have little animal protein',
  heavyAdults: 'most of the food is for grown fish with a stomach',
  bottom: 'there are bottom fish, and floating food does not reach them',
  shrimp: 'there are shrimp, which live on crumbs',
  usual: 'nothing here asks for something else',
};

/** The name of what has an id; empty where it is gone. */
export const nameOf = (rows: readonly { id: string; name: string }[], id: string) =>
  rows.find((one) => one.id === id)?.name ?? '';
