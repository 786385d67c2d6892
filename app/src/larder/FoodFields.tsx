import {
  FOOD_FAMILIES,
  FOOD_FORMS,
  FOOD_KINDS,
  type FoodFamily,
  type FoodForm,
} from '@open-larder/catalogue';
import type { FoodFields as Fields } from '@open-larder/contract';
import { useController, useWatch, type Control } from 'react-hook-form';
import { FoodSign } from '../draw/FoodSign';
import { FormFields, type FormField, type FormRow } from '../forms/FormFields';
import { PickerInput } from '../forms/inputs';
import { Text } from '../ui';
import { KeepingFields } from './KeepingFields';
import { LabelReader } from './LabelReader';

/** The part of a form that holds a food. */
export type FoodValues = Fields;

/** How a food lies in the water. */
export const FORM_WORDS: Record<FoodForm, string> = {
  floats: 'floats',
  sinksSlowly: 'sinks slowly',
  sinks: 'sinks',
};
const FAMILY_NAMES: Record<FoodFamily, string> = {
  grain: 'grain: flakes, pellets, tablets',
  cube: 'cube: frozen',
  leaf: 'leaf: plant food',
  wriggle: 'wriggle: live food',
  jelly: 'jelly: gels',
  mortar: 'mortar: powders and mixes',
};
const WHAT: FormField<FoodValues>[] = [
  { name: 'name', label: 'Name', as: 'text' },
  {
    name: 'kind',
    label: 'Kind',
    as: 'choice',
    options: FOOD_KINDS.map((kind) => ({ value: kind, label: kind })),
  },
];
const IN_WATER: FormField<FoodValues>[] = [
  {
    name: 'form',
    label: 'In the water it',
    as: 'choice',
    options: FOOD_FORMS.map((form) => ({ value: form, label: FORM_WORDS[form] })),
  },
];
const MAKE_UP: FormRow<FoodValues>[] = [
  [
    { name: 'composition.protein', label: 'Protein', as: 'percent' },
    { name: 'composition.fat', label: 'Fat', as: 'percent' },
    { name: 'composition.fibre', label: 'Fibre', as: 'percent' },
    { name: 'composition.ash', label: 'Ash', as: 'percent' },
    { name: 'composition.moisture', label: 'Moisture', as: 'percent' },
    { name: 'plantShare', label: 'Plant share', as: 'percent' },
  ],
];

const MEASURED_IN: FormRow<FoodValues>[] = [
  [
    { name: 'unit.name', label: 'One', hint: 'pinch, pellet, cube', as: 'text' },
    { name: 'unit.plural', label: 'Several', hint: 'pinches, pellets, cubes', as: 'text' },
  ],
  {
    name: 'unit.massG',
    label: 'One weighs',
    hint: 'Your guess, until you weigh some.',
    as: 'measure',
    measure: 'mass',
    decimals: 5,
  },
  {
    name: 'unit.step',
    label: 'Smallest part you can measure',
    hint: '0.25 for a quarter cube, 1 for pellets.',
    as: 'number',
    unit: 'of one',
  },
];

/** Reads a pasted label into the fields of the make-up. */
function LabelOf({ control }: Props) {
  const kind = useWatch({ control, name: 'kind' });
  const { field } = useController({ control, name: 'composition' });
  return <LabelReader kind={kind} onUse={field.onChange} />;
}

interface Props {
  control: Control<FoodValues>;
}

/** What a food is: its kind, make-up and serving unit. Percentages on the label are as fed. */
export function FoodFields({ control }: Props) {
  return (
    <>
      <FormFields control={control} fields={WHAT} />
      <PickerInput
        control={control}
        name="family"
        label="Sign"
        picks={FOOD_FAMILIES.map((family) => ({
          value: family,
          title: FAMILY_NAMES[family],
          lead: <FoodSign family={family} />,
        }))}
      />
      <FormFields control={control} fields={IN_WATER} />
      <Text variant="strong">Make-up, as on the label</Text>
      <LabelOf control={control} />
      <FormFields control={control} fields={MAKE_UP} />
      <Text variant="strong">How you measure it</Text>
      <FormFields control={control} fields={MEASURED_IN} />
      <KeepingFields control={control} />
    </>
  );
}
