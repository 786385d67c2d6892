import { Controller, type Control, type FieldErrors } from 'react-hook-form';
import { View } from 'react-native';
import { ErrorLine, Stepper } from '../ui';

const SEXES = [
  ['males', 'Males'],
  ['females', 'Females'],
  ['unsexed', 'Not sexed'],
] as const;

interface Props {
  control: Control<never>;
  errors: FieldErrors<Record<'males' | 'females' | 'unsexed', number>>;
}

/** How many fish, by sex. */
export function Counts({ control, errors }: Props) {
  const fieldError = errors.unsexed?.message ?? errors.males?.message ?? errors.females?.message;
  return (
    <View style={{ gap: 8 }}>
      {SEXES.map(([name, label]) => (
        <Controller
          key={name}
          control={control}
          name={name as never}
          render={({ field }) => (
            <Stepper
              label={label}
              value={field.value as number}
              step={1}
              min={0}
              max={100_000}
              onChange={field.onChange}
            />
          )}
        />
      ))}
      {fieldError ? <ErrorLine fieldError={String(fieldError)} /> : null}
    </View>
  );
}
