import { useFormState, type Control } from 'react-hook-form';
import { View } from 'react-native';
import { FormFields, type FormField, type FormRow } from '../forms/FormFields';
import { Disclosure } from '../ui';
import type { FoodValues } from './FoodFields';
import { StepsInput } from './StepsInput';

const number = (
  name: FormField<FoodValues>['name'],
  label: string,
  unit: string,
  hint?: string,
): FormField<FoodValues> => ({ name, label, hint, as: 'number', unit });

const BEHAVES: FormRow<FoodValues>[] = [
  [
    number('inWater.particleMinMm', 'Smallest piece', 'mm'),
    number('inWater.particleMaxMm', 'Largest piece', 'mm', 'Diameter, or length of worms.'),
    number('inWater.floatMinutes', 'Floats for', 'min'),
    number('inWater.sinkCmPerS', 'Then sinks at', 'cm/s'),
  ],
];
const KEEPS: FormRow<FoodValues>[] = [
  [
    number('keeps.sealedDays', 'Sealed', 'days'),
    number('keeps.openedDays', 'Once opened', 'days', 'Empty where it makes no difference.'),
    number('keeps.preparedHours', 'Once prepared', 'h'),
    number('liftAfterMin', 'Remove leftovers after', 'min', 'Empty leaves it in.'),
  ],
];
const CAUTIONS: FormRow<FoodValues>[] = [
  { name: 'cautions.people', label: 'For people', as: 'list' },
  { name: 'cautions.fish', label: 'For fish', as: 'list' },
];

/** How a food behaves, what is done to it, how long it keeps, and what to beware of. */
export function KeepingFields({ control }: { control: Control<FoodValues> }) {
  const { errors } = useFormState({ control });
  return (
    <View>
      <Disclosure
        title="Before it is served"
        detail="soak, thaw, blanch, crush: with time ahead and minutes of work"
        forced={errors.steps !== undefined}
      >
        <StepsInput control={control} />
      </Disclosure>
      <Disclosure
        title="How it behaves in the water"
        detail="size of its pieces, time afloat, how fast it sinks"
        forced={errors.inWater !== undefined}
      >
        <FormFields control={control} fields={BEHAVES} />
      </Disclosure>
      <Disclosure
        title="How long it keeps"
        detail="sealed, opened, prepared; when what is left is lifted"
        forced={errors.keeps !== undefined || errors.liftAfterMin !== undefined}
      >
        <FormFields control={control} fields={KEEPS} />
      </Disclosure>
      <Disclosure
        title="What to beware of"
        detail="for people, and for fish"
        forced={errors.cautions !== undefined}
      >
        <FormFields control={control} fields={CAUTIONS} />
      </Disclosure>
    </View>
  );
}
