import {
  ACTIVITIES,
  BREEDINGS,
  GUILDS,
  MOUTHS,
  NITRATE_CLASSES,
  SHAPES,
  ZONES,
  type SpeciesField,
} from '@open-larder/catalogue';
import type { Measure } from '@open-larder/core/units';

/** How one field of a species is entered. Those with `blank` may stay empty: a default stands in. */
export type SpeciesInput =
  | { field: SpeciesField; label: string; as: 'text' | 'list' }
  | { field: SpeciesField; label: string; as: 'number'; unit?: string; blank?: boolean }
  | { field: SpeciesField; label: string; as: 'percent'; blank?: boolean }
  | { field: SpeciesField; label: string; as: 'measure'; measure: Measure }
  | { field: 'hatchDegreeDays' | 'swimDegreeDays'; label: string; as: 'eggDays' }
  | { field: SpeciesField; label: string; as: 'pick'; options: readonly string[]; blank?: boolean }
  | { field: SpeciesField; label: string; as: 'yesNo'; blank?: boolean };

const number = (field: SpeciesField, label: string, unit?: string): SpeciesInput => ({
  field,
  label,
  as: 'number',
  unit,
});
const maybe = (field: SpeciesField, label: string, unit?: string): SpeciesInput => ({
  field,
  label,
  as: 'number',
  unit,
  blank: true,
});
const percent = (field: SpeciesField, label: string): SpeciesInput => ({
  field,
  label,
  as: 'percent',
  blank: true,
});

/** Every field of a species but where it stands by the light, in the order of its page. */
export const SPECIES_SECTIONS: { title: string; inputs: SpeciesInput[] }[] = [
  {
    title: 'Names',
    inputs: [
      { field: 'common', label: 'What you call it', as: 'text' },
      { field: 'scientific', label: 'Scientific name', as: 'text' },
      { field: 'otherNames', label: 'Other names', as: 'list' },
      { field: 'family', label: 'Family', as: 'text' },
    ],
  },
  {
    title: 'Size and shape',
    inputs: [
      { field: 'shape', label: 'Body shape', as: 'pick', options: SHAPES },
      { field: 'adultLengthCm', label: 'Length when grown', as: 'measure', measure: 'length' },
      maybe('lwA', 'a of W = a·L^b, grams and cm'),
      maybe('lwB', 'b of W = a·L^b'),
      { field: 'sourceSize', label: 'Source of these', as: 'text' },
    ],
  },
  {
    title: 'Water',
    inputs: [
      { field: 'tempMinC', label: 'Coolest', as: 'measure', measure: 'temperature' },
      { field: 'tempOptC', label: 'Best temperature', as: 'measure', measure: 'temperature' },
      { field: 'tempMaxC', label: 'Warmest', as: 'measure', measure: 'temperature' },
      number('phMin', 'Lowest pH'),
      number('phMax', 'Highest pH'),
      { field: 'ghMin', label: 'Softest', as: 'measure', measure: 'hardness' },
      { field: 'ghMax', label: 'Hardest', as: 'measure', measure: 'hardness' },
      {
        field: 'nitrate',
        label: 'Nitrate that it tolerates',
        as: 'pick',
        options: NITRATE_CLASSES,
        blank: true,
      },
      { field: 'sourceWater', label: 'Source of these', as: 'text' },
    ],
  },
  {
    title: 'Diet',
    inputs: [
      { field: 'guild', label: 'What it is built to eat', as: 'pick', options: GUILDS },
      { field: 'stomach', label: 'Has a stomach', as: 'yesNo' },
      { field: 'mouth', label: 'Its mouth points', as: 'pick', options: MOUTHS },
      percent('gapeShare', 'Width of the mouth, of its length'),
      percent('plantShareMin', 'Plant share, at least'),
      percent('plantShareMax', 'Plant share, at most'),
      percent('proteinMin', 'Protein in dry matter, at least'),
      percent('proteinMax', 'Protein in dry matter, at most'),
      { field: 'capped', label: 'Only little of', as: 'list' },
      { field: 'harmful', label: 'Must not eat', as: 'list' },
      { field: 'sourceDiet', label: 'Source of these', as: 'text' },
    ],
  },
  {
    title: 'Where, when and in what company',
    inputs: [
      { field: 'zone', label: 'Main feeding zone', as: 'pick', options: ZONES },
      { field: 'activity', label: 'When it feeds', as: 'pick', options: ACTIVITIES },
      number('boldness', 'Boldness, 0 hangs back to 1 takes everything'),
      number('usualGroup', 'Usual number in a group'),
      maybe('femalesPerMale', 'Females to a male'),
      { field: 'nipsFins', label: 'Nips fins', as: 'yesNo', blank: true },
      { field: 'cautions', label: 'Cautions', as: 'list' },
      { field: 'sourceBehaviour', label: 'Source of these', as: 'text' },
    ],
  },
  {
    title: 'Breeding and life',
    inputs: [
      { field: 'breeding', label: 'Way of breeding', as: 'pick', options: BREEDINGS },
      { field: 'hatchDegreeDays', label: 'Hatches after', as: 'eggDays' },
      { field: 'swimDegreeDays', label: 'Swims free after', as: 'eggDays' },
      maybe('larvalLengthMm', 'Length of a young one', 'mm'),
      maybe('lifeYears', 'Life span', 'years'),
      maybe('growthLinfCm', 'L∞ of its growth', 'cm'),
      maybe('growthK', 'K of its growth', '1/year'),
      { field: 'sourceBreeding', label: 'Source of these', as: 'text' },
    ],
  },
];
