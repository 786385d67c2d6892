import type { Measure } from '@open-larder/core/units';
import type { ReactNode } from 'react';
import { Controller, type Control, type FieldPath, type FieldValues } from 'react-hook-form';
import { View } from 'react-native';
import { Choice, type Option } from '../ui';
import type { Pick } from '../ui/Picker';
import {
  ChoiceInput,
  DateInput,
  ListInput,
  MeasureInput,
  NumberInput,
  PickerInput,
  StepperInput,
  TextInput,
  TimeInput,
} from './inputs';
import { PERCENT } from './percent';

interface Named<V extends FieldValues> {
  name: FieldPath<V>;
  label: string;
  hint?: string;
}

/** One field of a form: its place, its label, and how it is entered. */
export type FormField<V extends FieldValues> = Named<V> &
  (
    | { as: 'text'; placeholder?: string }
    | { as: 'list' | 'time' }
    | { as: 'date'; required?: boolean }
    | { as: 'percent'; decimals?: number }
    | { as: 'number'; unit?: string; decimals?: number }
    | {
        as: 'measure';
        measure: Measure;
        also?: Readonly<Record<string, number>>;
        decimals?: number;
      }
    | { as: 'stepper'; step: number; min: number; max: number }
    | { as: 'choice'; options: readonly Option<string | number>[]; blank?: string }
    /** `blank` may stay empty, said in these words. */
    | {
        as: 'pick';
        options: readonly (string | Pick)[];
        blank?: string;
        search?: boolean;
        placeholder?: string;
      }
    | { as: 'yesNo'; blank?: string; words?: { yes: string; no: string } }
  );

/** Fields under each other, or those of a list beside each other as far as there is room. */
export type FormRow<V extends FieldValues> = FormField<V> | readonly FormField<V>[];

/** A form that is a list of fields. Fields that only one form has are passed between two such lists. */
export function FormFields<V extends FieldValues>({
  control,
  fields,
}: {
  control: Control<V>;
  fields: readonly FormRow<V>[];
}): ReactNode {
  return fields.map((row) =>
    'name' in row ? (
      <OneField key={row.name} control={control} field={row} />
    ) : (
      <View
        key={row.map(({ name }) => name).join()}
        style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}
      >
        {row.map((field) => (
          <View key={field.name} style={{ flexBasis: 130, flexGrow: 1 }}>
            <OneField control={control} field={field} />
          </View>
        ))}
      </View>
    ),
  );
}

function OneField<V extends FieldValues>({
  control,
  field,
}: {
  control: Control<V>;
  field: FormField<V>;
}) {
  const { name, label, hint } = field;
  const bound = { control, name, label, hint };
  switch (field.as) {
    case 'text':
      return <TextInput {...bound} placeholder={field.placeholder} />;
    case 'list':
      return <ListInput {...bound} />;
    case 'date':
      return <DateInput {...bound} required={field.required} />;
    case 'time':
      return <TimeInput {...bound} />;
    case 'percent':
      return <NumberInput {...bound} unit="%" scale={PERCENT} decimals={field.decimals ?? 2} />;
    case 'number':
      return <NumberInput {...bound} unit={field.unit} decimals={field.decimals ?? 5} />;
    case 'measure':
      return (
        <MeasureInput
          {...bound}
          measure={field.measure}
          also={field.also}
          decimals={field.decimals ?? 2}
        />
      );
    case 'stepper':
      return <StepperInput {...bound} step={field.step} min={field.min} max={field.max} />;
    case 'choice':
      return <ChoiceInput {...bound} options={field.options} blank={field.blank} />;
    case 'pick':
      return (
        <PickerInput
          {...bound}
          blank={field.blank}
          search={field.search}
          placeholder={field.placeholder}
          picks={field.options.map((option) =>
            typeof option === 'string' ? { value: option, title: option } : option,
          )}
        />
      );
    case 'yesNo':
      return <YesNo {...bound} blank={field.blank} words={field.words} />;
  }
}

interface Bound<V extends FieldValues> extends Named<V> {
  control: Control<V>;
}

function YesNo<V extends FieldValues>({
  control,
  name,
  blank,
  words = { yes: 'yes', no: 'no' },
  ...rest
}: Bound<V> & { blank?: string; words?: { yes: string; no: string } }) {
  const known = Object.entries(words).map(([value, label]) => ({ value, label }));
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <Choice
          {...rest}
          value={field.value === null ? 'unknown' : field.value ? 'yes' : 'no'}
          options={blank === undefined ? known : [...known, { value: 'unknown', label: blank }]}
          onChange={(said) => field.onChange(said === 'unknown' ? null : said === 'yes')}
          fieldError={fieldState.error?.message}
        />
      )}
    />
  );
}
