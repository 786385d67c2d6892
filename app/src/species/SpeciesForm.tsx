import { SPECIES_DEFAULTS, type SpeciesEntry, type SpeciesField } from '@open-larder/catalogue';
import type { Control } from 'react-hook-form';
import { View } from 'react-native';
import { FormFields, type FormField } from '../forms/FormFields';
import { Text } from '../ui';
import { EggDaysInput } from './EggDaysInput';
import { SPECIES_SECTIONS, type SpeciesInput } from './fields';

/** The part of a form that holds a species. */
export interface SpeciesValues {
  entry: SpeciesEntry;
}

/** Every figure of a species; what stays empty is filled by a default, which is said beside it. */
export function SpeciesForm({ control }: { control: Control<SpeciesValues> }) {
  return (
    <View style={{ gap: 16 }}>
      {SPECIES_SECTIONS.map(({ title, inputs }) => (
        <View key={title} style={{ gap: 16 }}>
          <Text variant="subtitle">{title}</Text>
          {inputs.map((input) =>
            input.as === 'eggDays' ? (
              <EggDaysInput
                key={input.field}
                control={control}
                field={input.field}
                label={input.label}
              />
            ) : (
              <FormFields key={input.field} control={control} fields={[fieldOf(input)]} />
            ),
          )}
        </View>
      ))}
    </View>
  );
}

/** An entry of the catalogue as a field of the form. */
function fieldOf({
  field,
  ...input
}: Exclude<SpeciesInput, { as: 'eggDays' }>): FormField<SpeciesValues> {
  const blank = 'blank' in input && input.blank;
  return {
    ...input,
    name: `entry.${field}`,
    hint: blank && input.as !== 'yesNo' ? blankSays(field) : undefined,
    blank: blank ? 'not known' : undefined,
  } as FormField<SpeciesValues>;
}

/** «Left empty: usual width of the mouth for the body shape.» */
function blankSays(field: SpeciesField): string {
  return field in SPECIES_DEFAULTS
    ? `Left empty: ${SPECIES_DEFAULTS[field as keyof typeof SPECIES_DEFAULTS].says}.`
    : 'May stay empty.';
}
