import {
  FOOD_FAMILIES,
  FOOD_FORMS,
  FOOD_KINDS,
  type FoodFamily,
  type FoodForm,
} from '@open-larder/catalogue';
import type { FoodFields as Fields } from '@open-larder/contract';
import { Controller, useController, useWatch, type Control, type FieldPath } from 'react-hook-form';
import { View } from 'react-native';
import { FoodSign } from '../draw/FoodSign';
import { useFormat } from '../store';
import { NumberInput, PickerInput, TextInput } from '../forms/inputs';
import { PERCENT } from '../forms/percent';
import { Choice, Text } from '../ui';
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
const PARTS = [
  ['protein', 'Protein'],
  ['fat', 'Fat'],
  ['fibre', 'Fibre'],
  ['ash', 'Ash'],
  ['moisture', 'Moisture'],
] as const;

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
  const format = useFormat();
  const number = (name: FieldPath<FoodValues>, label: string, unit: string, hint?: string) => (
    <NumberInput
      control={control}
      name={name}
      label={label}
      unit={unit}
      scale={
        unit === '%'
          ? PERCENT
          : unit === format.scale('mass').unit
            ? format.scale('mass')
            : undefined
      }
      decimals={unit === '%' ? 2 : 5}
      hint={hint}
    />
  );
  const text = (name: FieldPath<FoodValues>, label: string, hint?: string) => (
    <TextInput control={control} name={name} label={label} hint={hint} />
  );
  return (
    <>
      {text('name', 'Name')}
      <Controller
        control={control}
        name="kind"
        render={({ field }) => (
          <Choice
            label="Kind"
            value={field.value}
            onChange={field.onChange}
            options={FOOD_KINDS.map((kind) => ({ value: kind, label: kind }))}
          />
        )}
      />
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
      <Controller
        control={control}
        name="form"
        render={({ field }) => (
          <Choice
            label="In the water it"
            value={field.value}
            onChange={field.onChange}
            options={FOOD_FORMS.map((form) => ({ value: form, label: FORM_WORDS[form] }))}
          />
        )}
      />
      <Text variant="strong">Make-up, as on the label</Text>
      <LabelOf control={control} />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
        {PARTS.map(([part, label]) => (
          <View key={part} style={{ flexBasis: 130, flexGrow: 1 }}>
            {number(`composition.${part}`, label, '%')}
          </View>
        ))}
        <View style={{ flexBasis: 130, flexGrow: 1 }}>
          {number('plantShare', 'Plant share', '%')}
        </View>
      </View>
      <Text variant="strong">How you measure it</Text>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
        <View style={{ flexBasis: 130, flexGrow: 1 }}>
          {text('unit.name', 'One', 'pinch, pellet, cube')}
        </View>
        <View style={{ flexBasis: 130, flexGrow: 1 }}>
          {text('unit.plural', 'Several', 'pinches, pellets, cubes')}
        </View>
      </View>
      {number(
        'unit.massG',
        'One weighs',
        format.scale('mass').unit,
        'Your guess, until you weigh some.',
      )}
      {number(
        'unit.step',
        'Smallest part you can measure',
        'of one',
        '0.25 for a quarter cube, 1 for pellets.',
      )}
      <KeepingFields control={control} />
    </>
  );
}
