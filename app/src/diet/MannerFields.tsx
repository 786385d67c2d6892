import type { DietEdit } from '@open-larder/contract';
import { MAX_AFTER_MIN, MAX_SPOTS, type Manner } from '@open-larder/core/round';
import { Controller, type Control } from 'react-hook-form';
import { StepperInput } from '../forms/inputs';
import { Choices } from '../ui';

type Flag = 'soaked' | 'carried' | 'apart';

const FLAGS: { value: Flag; label: string }[] = [
  { value: 'soaked', label: 'Soaked first' },
  { value: 'carried', label: 'Carried to them' },
  { value: 'apart', label: 'Set apart for it' },
];

/** How a serving is given: what decides who gets to it, beyond when and where. */
export function MannerFields({ control, index }: { control: Control<DietEdit>; index: number }) {
  return (
    <>
      <Controller
        control={control}
        name={`servings.${index}.manner`}
        render={({ field }) => (
          <Choices
            label="How it is given"
            options={FLAGS}
            value={FLAGS.map(({ value }) => value).filter((flag) => field.value[flag])}
            onChange={(on) => field.onChange(withFlags(field.value, on))}
          />
        )}
      />
      <StepperInput
        control={control}
        name={`servings.${index}.manner.spots`}
        label="Places that it is spread over"
        step={1}
        min={1}
        max={MAX_SPOTS}
      />
      <StepperInput
        control={control}
        name={`servings.${index}.manner.afterMin`}
        label="Minutes after the moment, when the others are busy"
        step={5}
        min={0}
        max={MAX_AFTER_MIN}
      />
    </>
  );
}

const withFlags = (manner: Manner, on: readonly Flag[]): Manner => ({
  ...manner,
  soaked: on.includes('soaked'),
  carried: on.includes('carried'),
  apart: on.includes('apart'),
});
