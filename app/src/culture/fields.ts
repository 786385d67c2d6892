import type { CultureKind } from '@open-larder/catalogue/cultures';
import type { FoodRow, VesselFields } from '@open-larder/contract';
import type { FormField } from '../forms/FormFields';
import type { Format } from '../store';

interface Around {
  kind: CultureKind;
  /** Of which one may live in it too. */
  kinds: readonly CultureKind[];
  foods: readonly FoodRow[];
  /** What it is called to choose no food. */
  none: string;
  format: Format;
}

type Values = Omit<VesselFields, 'version'>;

/** What is said of a vessel: its size, its place, what it shares with others, what it gives. */
export function vesselFields({ kind, kinds, foods, none, format }: Around): FormField<Values>[] {
  return [
    { name: 'name', label: 'Name', as: 'text', placeholder: `${kind.name}, window` },
    SIZES[kind.measure],
    {
      name: 'tempC',
      label: 'Usual temperature',
      hint: `${format.quantity('temperature', kind.tempMinC)} to ${format.quantity('temperature', kind.tempMaxC)} for this kind.`,
      as: 'measure',
      measure: 'temperature',
      decimals: 1,
    },
    { name: 'strain', label: 'Strain, if it has a name', as: 'text' },
    { name: 'place', label: 'Place', as: 'text' },
    {
      name: 'water',
      label: 'Its water comes from',
      hint: 'Vessels described alike are expected to crash together.',
      as: 'text',
    },
    { name: 'tools', label: 'Tools that touch it', as: 'text' },
    {
      name: 'foodId',
      label: 'The food on the shelf that it gives',
      as: 'pick',
      blank: none,
      options: foods
        .filter(({ archived, kind: what }) => !archived && (what === 'live' || what === 'fresh'))
        .map(({ id, name }) => ({ value: id, title: name })),
    },
    {
      name: 'alsoKindKey',
      label: 'A second kind that lives in it',
      as: 'pick',
      blank: 'None',
      search: true,
      options: kinds
        .filter(({ key, measure }) => key !== kind.key && measure === kind.measure)
        .map(({ key, name }) => ({ value: key, title: name })),
    },
  ];
}

const SIZES: Record<CultureKind['measure'], FormField<Values>> = {
  L: { name: 'measure', label: 'Water in it', as: 'measure', measure: 'volume' },
  dm2: { name: 'measure', label: 'Surface', as: 'measure', measure: 'area' },
  jar: { name: 'measure', label: 'Jars', as: 'number' },
};
