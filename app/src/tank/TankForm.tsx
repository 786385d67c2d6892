import { zodResolver } from '@hookform/resolvers/zod';
import { tankEdit, type Tank } from '@open-larder/contract';
import { waterLitres } from '@open-larder/core';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { View } from 'react-native';
import type { z } from 'zod';
import { useWords } from '../store';
import { NumberInput, StepperInput, TextInput, TimeInput } from '../forms/inputs';
import { Button, Choice, StaleNotice, Text, useDraft, useSave } from '../ui';

export type TankValues = z.input<typeof tankEdit>;

interface Props {
  /** Names the draft. */
  place: string;
  initial: TankValues;
  act: string;
  onSave: (values: TankValues) => PromiseLike<{ data?: Tank; error?: unknown }>;
  onSaved: (tank: Tank) => void;
}

const FIELDS = {
  name: 'Name',
  lengthCm: 'Length',
  widthCm: 'Width',
  heightCm: 'Height',
  waterLevelCm: 'Water level',
  litres: 'Litres',
  tempC: 'Temperature',
  ph: 'pH',
  lightOnMin: 'Lights on',
  lightOffMin: 'Lights off',
  walkOrder: 'Place in the walk',
};

/** Everything about a tank that the ration needs. */
export function TankForm({ place, initial, act, onSave, onSaved }: Props) {
  const words = useWords();
  const form = useForm<TankValues, unknown, z.output<typeof tankEdit>>({
    resolver: zodResolver(tankEdit),
    defaultValues: initial,
  });
  const forgetDraft = useDraft(place, form as never);
  const { save, stale, clearStale } = useSave<TankValues>(form as never);
  const [byLitres, setByLitres] = useState(initial.litres !== null);
  const { control, formState, handleSubmit, setValue, watch, reset } = form;
  const fault = (name: keyof TankValues) => formState.errors[name]?.message;
  const submit = handleSubmit(async (values) => {
    const saved = await save(() => onSave(values) as never);
    if (saved) {
      forgetDraft();
      onSaved(saved as Tank);
    }
  });
  const number = (
    name: 'lengthCm' | 'widthCm' | 'heightCm' | 'waterLevelCm' | 'litres' | 'tempC' | 'ph',
    label: string,
    measure?: 'length' | 'volume' | 'temperature',
    hint?: string,
  ) => (
    <NumberInput
      control={control}
      name={name}
      label={label}
      hint={hint}
      unit={measure ? words.scale(measure).unit : undefined}
      scale={measure ? words.scale(measure) : undefined}
      decimals={measure === 'length' ? 2 : 1}
    />
  );
  return (
    <View style={{ gap: 16 }}>
      {stale ? (
        <StaleNotice
          problem={stale}
          fields={FIELDS}
          onKeepMine={() => {
            setValue('version', (stale.theirs as Tank).version);
            clearStale();
            void submit();
          }}
          onTakeTheirs={() => {
            const { id: _, ...theirs } = stale.theirs as Tank;
            reset(theirs);
            clearStale();
          }}
        />
      ) : null}
      <TextInput control={control} name="name" label="Name" />
      <Choice
        label="How its size is known"
        value={byLitres ? 'litres' : 'measures'}
        options={[
          { value: 'measures', label: 'Inside measures' },
          { value: 'litres', label: 'Litres only' },
        ]}
        onChange={(value) => {
          setByLitres(value === 'litres');
          if (value === 'measures') setValue('litres', null);
        }}
      />
      {byLitres ? (
        number('litres', 'Water', 'volume')
      ) : (
        <>
          {number('lengthCm', 'Inside length', 'length')}
          {number('widthCm', 'Inside width', 'length')}
          {number('heightCm', 'Inside height', 'length')}
          {number(
            'waterLevelCm',
            'Water level',
            'length',
            'Left empty: nine tenths of the height.',
          )}
          {fault('litres') ? (
            <Text look="small" tone="due" role="alert">
              {fault('litres')}
            </Text>
          ) : null}
          <Litres values={watch()} />
        </>
      )}
      {number('tempC', 'Water temperature', 'temperature')}
      {number('ph', 'pH', undefined, 'May stay empty.')}
      <View style={{ flexDirection: 'row', gap: 12 }}>
        {(['lightOnMin', 'lightOffMin'] as const).map((name) => (
          <View key={name} style={{ flex: 1 }}>
            <TimeInput control={control} name={name} label={FIELDS[name]} />
          </View>
        ))}
      </View>
      <StepperInput
        control={control}
        name="walkOrder"
        label="Place in the walking order"
        step={1}
        min={1}
        max={9999}
      />
      <Button
        look="primary"
        label={act}
        onPress={() => void submit()}
        busy={formState.isSubmitting}
      />
    </View>
  );
}

/** Litres as they follow from what is typed so far. */
function Litres({ values }: { values: TankValues }) {
  const words = useWords();
  const finite = (value: number | null | undefined) =>
    value === null || value === undefined || Number.isNaN(value) ? null : value;
  const size = {
    lengthCm: finite(values.lengthCm),
    widthCm: finite(values.widthCm),
    heightCm: finite(values.heightCm),
    waterLevelCm: finite(values.waterLevelCm),
    litres: null,
  };
  if (size.waterLevelCm !== null && size.heightCm !== null && size.waterLevelCm > size.heightCm) {
    return null;
  }
  const water = waterLitres(size);
  return water ? (
    <Text tone="quiet">That is {words.say('volume', water.value)} of water.</Text>
  ) : null;
}
