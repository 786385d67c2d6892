import { type Measure } from '@open-larder/core/units';
import { readMeasure } from '@open-larder/say';
import type { ComponentProps, ComponentType } from 'react';
import { Controller, type Control, type FieldPath, type FieldValues } from 'react-hook-form';
import { useFormat } from '../store';
import { Choice, Field, Stepper, type Option } from '../ui';
import { DateField } from '../ui/DateField';
import { NumberField } from '../ui/NumberField';
import { Picker } from '../ui/Picker';
import { TimeField } from '../ui/TimeField';

/** Where an input stands in its form. Its value and its fault come from there. */
interface Bound<V extends FieldValues> {
  control: Control<V>;
  name: FieldPath<V>;
}

/** What is left to say of an input once its form has said its value. */
type Rest<P> = Omit<P, 'value' | 'onChange' | 'onBlur' | 'error'>;

/** A field of the interface whose value and fault are those of its place in a form. */
function bind<P extends { fieldError?: string }>(Widget: ComponentType<P>) {
  return function BoundInput<V extends FieldValues>({
    control,
    name,
    ...rest
  }: Bound<V> & Rest<P>) {
    return (
      <Controller
        control={control}
        name={name}
        render={({ field, fieldState }) => (
          <Widget
            {...(rest as unknown as P)}
            value={field.value}
            onChange={field.onChange}
            fieldError={fieldState.error?.message}
          />
        )}
      />
    );
  };
}

export const TextInput = bind(Field);
export const NumberInput = bind(NumberField);
export const TimeInput = bind(TimeField);
export const StepperInput = bind(Stepper);

/**
 * A length, volume, temperature, mass or hardness: stored in its base unit, shown in the keeper's,
 * and typed in any («1 1/2 in», «78F»).
 */
export function MeasureInput<V extends FieldValues>({
  measure,
  also,
  ...rest
}: {
  measure: Measure;
  /** Other names for it, with the base of one: a serving unit's, «48 cubes». */
  also?: Readonly<Record<string, number>>;
} & Omit<ComponentProps<typeof NumberInput<V>>, 'unit' | 'scale' | 'read'>) {
  const format = useFormat();
  const scale = format.scale(measure);
  return (
    <NumberInput
      {...rest}
      keyboard="text"
      unit={scale.unit}
      scale={scale}
      read={(text) => readMeasure(text, measure, format.units, also)}
    />
  );
}

/** A few entries in one line, with commas between. */
export function ListInput<V extends FieldValues>({
  control,
  name,
  label,
  hint = 'Commas between.',
}: Bound<V> & { label: string; hint?: string }) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <Field
          label={label}
          hint={hint}
          value={(field.value as string[]).join(', ')}
          onChange={(text) => field.onChange(text === '' ? [] : text.split(/,\s?/))}
          onBlur={() =>
            field.onChange((field.value as string[]).map((one) => one.trim()).filter(Boolean))
          }
          fieldError={fieldState.error?.message ?? firstError(fieldState.error)}
        />
      )}
    />
  );
}

const firstError = (error: unknown): string | undefined =>
  Array.isArray(error)
    ? (error.find(Boolean) as { message?: string } | undefined)?.message
    : undefined;

export function DateInput<V extends FieldValues>({
  control,
  name,
  required = false,
  ...rest
}: Bound<V> & Rest<ComponentProps<typeof DateField>> & { required?: boolean }) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <DateField
          {...rest}
          value={field.value}
          onChange={(day) => field.onChange(required ? (day ?? '') : day)}
          fieldError={fieldState.error?.message}
        />
      )}
    />
  );
}

/** @param blank what is picked for «not said»: such a field may stay empty, as null */
export function PickerInput<V extends FieldValues>({
  control,
  name,
  onPicked,
  blank,
  picks,
  ...rest
}: Bound<V> &
  Rest<ComponentProps<typeof Picker>> & {
    onPicked?: (value: string, before: string) => void;
    blank?: string;
  }) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <Picker
          {...rest}
          picks={blank === undefined ? picks : [{ value: '', title: blank }, ...picks]}
          value={field.value ?? ''}
          onChange={(value) => {
            const before: string = field.value;
            field.onChange(blank !== undefined && value === '' ? null : value);
            onPicked?.(value, before);
          }}
          fieldError={fieldState.error?.message}
        />
      )}
    />
  );
}

/** @param blank what is chosen for «not said»: such a field may stay empty, as null */
export function ChoiceInput<V extends FieldValues, O extends string | number>({
  control,
  name,
  blank,
  options,
  ...rest
}: Bound<V> & { label: string; hint?: string; options: readonly Option<O>[]; blank?: string }) {
  const none = '' as O;
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <Choice
          {...rest}
          options={blank === undefined ? options : [...options, { value: none, label: blank }]}
          value={(field.value ?? none) as O}
          onChange={(value) => field.onChange(value === none ? null : value)}
          fieldError={fieldState.error?.message}
        />
      )}
    />
  );
}
