import { SPECIES_DEFAULTS, type SpeciesEntry, type SpeciesField } from '@open-larder/catalogue';
import { Controller, type Control } from 'react-hook-form';
import { View } from 'react-native';
import { ListInput, MeasureInput, NumberInput, PickerInput, TextInput } from '../forms/inputs';
import { PERCENT } from '../forms/percent';
import { Choice, Picker, Text } from '../ui';
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
          {inputs.map((input) => (
            <OneInput key={input.field} input={input} control={control} />
          ))}
        </View>
      ))}
    </View>
  );
}

function OneInput({ input, control }: { input: SpeciesInput; control: Control<SpeciesValues> }) {
  const name = `entry.${input.field}` as never;
  const hint = 'blank' in input && input.blank ? blankSays(input.field) : undefined;
  switch (input.as) {
    case 'text':
      return <TextInput control={control} name={name} label={input.label} />;
    case 'list':
      return <ListInput control={control} name={name} label={input.label} />;
    case 'measure':
      return (
        <MeasureInput
          control={control}
          name={name}
          label={input.label}
          measure={input.measure}
          decimals={2}
        />
      );
    case 'percent':
      return (
        <NumberInput
          control={control}
          name={name}
          label={input.label}
          unit="%"
          scale={PERCENT}
          decimals={2}
          hint={hint}
        />
      );
    case 'number':
      return (
        <NumberInput
          control={control}
          name={name}
          label={input.label}
          unit={input.unit}
          decimals={5}
          hint={hint}
        />
      );
    case 'pick':
      return 'blank' in input && input.blank ? (
        <BlankPick control={control} name={name} input={input} hint={hint} />
      ) : (
        <PickerInput
          control={control}
          name={name}
          label={input.label}
          picks={input.options.map((option) => ({ value: option, title: option }))}
        />
      );
    case 'eggDays':
      return <EggDaysInput control={control} field={input.field} label={input.label} />;
    case 'yesNo':
      return (
        <YesNo control={control} name={name} label={input.label} blank={input.blank ?? false} />
      );
  }
}

/** «Left empty: usual width of the mouth for the body shape.» */
function blankSays(field: SpeciesField): string {
  return field in SPECIES_DEFAULTS
    ? `Left empty: ${SPECIES_DEFAULTS[field as keyof typeof SPECIES_DEFAULTS].says}.`
    : 'May stay empty.';
}

interface Bound {
  control: Control<SpeciesValues>;
  name: never;
}

function BlankPick({
  control,
  name,
  input,
  hint,
}: Bound & { input: Extract<SpeciesInput, { as: 'pick' }>; hint?: string }) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <Picker
          label={input.label}
          hint={hint}
          value={(field.value as unknown as string | null) ?? ''}
          onChange={(picked) => field.onChange(picked === '' ? null : picked)}
          picks={[
            { value: '', title: 'not known' },
            ...input.options.map((option) => ({ value: option, title: option })),
          ]}
          fieldError={fieldState.error?.message}
        />
      )}
    />
  );
}

function YesNo({ control, name, label, blank }: Bound & { label: string; blank: boolean }) {
  const known = [
    { value: 'yes', label: 'yes' },
    { value: 'no', label: 'no' },
  ];
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <Choice
          label={label}
          value={field.value === null ? 'unknown' : field.value ? 'yes' : 'no'}
          options={blank ? [...known, { value: 'unknown', label: 'not known' }] : known}
          onChange={(said) => field.onChange(said === 'unknown' ? null : said === 'yes')}
          fieldError={fieldState.error?.message}
        />
      )}
    />
  );
}
