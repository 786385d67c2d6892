import {
  COVERS,
  DECORS,
  FILTERS,
  FLOWS,
  GROUNDS,
  PLANTINGS,
  SOURCE_WATERS,
  type Furnishings,
  type TankFurnishing,
} from '@open-larder/core/tank';

/** What may be said about a tank, and is guessed until it is: in the words of the screen. */
export const FURNISHING: {
  field: Exclude<keyof TankFurnishing, 'groundDepthCm'>;
  label: string;
  options: readonly string[];
  /** «many plants» */
  says: (furnishing: Furnishings) => string;
}[] = [
  {
    field: 'ground',
    label: 'Ground',
    options: GROUNDS,
    says: ({ ground }) => (ground === 'bare' ? 'bare floor' : ground),
  },
  {
    field: 'decor',
    label: 'Wood and stone',
    options: DECORS,
    says: ({ decor }) => `${decor === 'none' ? 'no' : decor} wood and stone`,
  },
  {
    field: 'filter',
    label: 'Filter',
    options: FILTERS,
    says: ({ filter }) => `${filter === 'none' ? 'no' : filter} filter`,
  },
  {
    field: 'flow',
    label: 'Flow',
    options: FLOWS,
    says: ({ flow }) => (flow === 'still' ? 'still water' : `${flow} flow`),
  },
  {
    field: 'plants',
    label: 'Plants',
    options: PLANTINGS,
    says: ({ plants }) => `${plants === 'none' ? 'no' : plants} plants`,
  },
  {
    field: 'cover',
    label: 'Cover',
    options: COVERS,
    says: ({ cover }) => (cover === 'open' ? 'no cover' : `${cover} cover`),
  },
  {
    field: 'sourceWater',
    label: 'Source water',
    options: SOURCE_WATERS,
    says: ({ sourceWater }) => `${sourceWater} water`,
  },
];
