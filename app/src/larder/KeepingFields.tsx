import type { ReactNode } from 'react';
import { useFormState, type Control } from 'react-hook-form';
import { View } from 'react-native';
import { ListInput, NumberInput } from '../forms/inputs';
import { Disclosure } from '../ui';
import type { FoodValues } from './FoodFields';
import { StepsInput } from './StepsInput';

type Name = Parameters<typeof NumberInput<FoodValues>>[0]['name'];

/** How a food behaves, what is done to it, how long it keeps, and what to beware of. */
export function KeepingFields({ control }: { control: Control<FoodValues> }) {
  const { errors } = useFormState({ control });
  const number = (name: Name, label: string, unit: string, hint?: string) => (
    <View style={{ flexBasis: 140, flexGrow: 1 }}>
      <NumberInput control={control} name={name} label={label} unit={unit} hint={hint} />
    </View>
  );
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
        <Cells>
          {number('inWater.particleMinMm', 'Smallest piece', 'mm')}
          {number('inWater.particleMaxMm', 'Largest piece', 'mm', 'Diameter, or length of worms.')}
          {number('inWater.floatMinutes', 'Floats for', 'min')}
          {number('inWater.sinkCmPerS', 'Then sinks at', 'cm/s')}
        </Cells>
      </Disclosure>
      <Disclosure
        title="How long it keeps"
        detail="sealed, opened, prepared; when what is left is lifted"
        forced={errors.keeps !== undefined || errors.liftAfterMin !== undefined}
      >
        <Cells>
          {number('keeps.sealedDays', 'Sealed', 'days')}
          {number('keeps.openedDays', 'Once opened', 'days', 'Empty where it makes no difference.')}
          {number('keeps.preparedHours', 'Once prepared', 'h')}
          {number('liftAfterMin', 'Remove leftovers after', 'min', 'Empty leaves it in.')}
        </Cells>
      </Disclosure>
      <Disclosure
        title="What to beware of"
        detail="for people, and for fish"
        forced={errors.cautions !== undefined}
      >
        <ListInput control={control} name="cautions.people" label="For people" />
        <ListInput control={control} name="cautions.fish" label="For fish" />
      </Disclosure>
    </View>
  );
}

const Cells = ({ children }: { children: ReactNode }) => (
  <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>{children}</View>
);
