import { zodResolver } from '@hookform/resolvers/zod';
import { tankEdit, type Tank } from '@open-larder/contract';
import { furnishingOf, TANK_KINDS, TANK_SHAPES, waterLitres } from '@open-larder/core/tank';
import { useState } from 'react';
import { useForm, useWatch, type Control } from 'react-hook-form';
import { View } from 'react-native';
import type { z } from 'zod';
import { useFormat } from '../store';
import { FormFields, type FormField, type FormRow } from '../forms/FormFields';
import { MeasureInput, PickerInput } from '../forms/inputs';
import { Button, Choice, ErrorLine, Text, WhyLink } from '../ui';
import { StaleNotice } from '../ui/StaleNotice';
import { useDraft } from '../ui/useDraft';
import { useSave } from '../ui/useSave';
import { FURNISHING } from './guesses';

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
  kind: 'Kind',
  shape: 'Shape',
  lengthCm: 'Length',
  widthCm: 'Width',
  heightCm: 'Height',
  waterLevelCm: 'Water level',
  litres: 'Litres',
  tempC: 'Temperature',
  ph: 'pH',
  gh: 'Hardness',
  groundDepthCm: 'Depth of the ground',
  lightOnMin: 'Lights on',
  lightOffMin: 'Lights off',
  walkOrder: 'Place in the walk',
  runsSince: 'Running since',
  film: 'Film',
  filmOn: 'Film seen on',
};

const WHAT: FormField<TankValues>[] = [
  { name: 'name', label: 'Name', as: 'text' },
  {
    name: 'kind',
    label: 'What it is for',
    as: 'choice',
    options: TANK_KINDS.map((kind) => ({ value: kind, label: kind })),
  },
];
const LITRES: FormField<TankValues>[] = [
  { name: 'litres', label: 'Water', as: 'measure', measure: 'volume' },
];
const measuresOf = (round: boolean): FormField<TankValues>[] => [
  { name: 'shape', label: 'Shape', as: 'pick', options: TANK_SHAPES },
  {
    name: 'lengthCm',
    label: round ? 'Inside length or width across' : 'Inside length',
    as: 'measure',
    measure: 'length',
  },
  {
    name: 'widthCm',
    label: round ? 'Inside width the other way' : 'Inside width',
    as: 'measure',
    measure: 'length',
  },
  { name: 'heightCm', label: 'Inside height', as: 'measure', measure: 'length' },
  {
    name: 'waterLevelCm',
    label: 'Water level',
    hint: 'Left empty: nine tenths of the height.',
    as: 'measure',
    measure: 'length',
  },
];
const ITS_WATER: FormRow<TankValues>[] = [
  { name: 'tempC', label: 'Water temperature', as: 'measure', measure: 'temperature' },
  { name: 'ph', label: 'pH', hint: 'May stay empty.', as: 'number', decimals: 2 },
  { name: 'gh', label: 'Hardness', hint: 'May stay empty.', as: 'measure', measure: 'hardness' },
  {
    name: 'runsSince',
    label: 'Running since',
    hint: 'Optional. A tank that has run for months has a mature filter.',
    as: 'date',
  },
  [
    { name: 'lightOnMin', label: 'Lights on', as: 'time' },
    { name: 'lightOffMin', label: 'Lights off', as: 'time' },
  ],
  {
    name: 'walkOrder',
    label: 'Place in the walking order',
    as: 'stepper',
    step: 1,
    min: 1,
    max: 9999,
  },
];

/** A tank: few questions, and guesses in sight for all that was not asked. */
export function TankForm({ place, initial, act, onSave, onSaved }: Props) {
  const form = useForm<TankValues, unknown, z.output<typeof tankEdit>>({
    resolver: zodResolver(tankEdit),
    defaultValues: initial,
  });
  const forgetDraft = useDraft(place, form as never);
  const { save, stale } = useSave<TankValues>(form as never);
  const [byLitres, setByLitres] = useState(initial.litres !== null);
  const { control, formState, handleSubmit, setValue, reset } = form;
  const values = useWatch({ control }) as TankValues;
  const fieldError = (name: keyof TankValues) => formState.errors[name]?.message;
  const submit = handleSubmit(async (values) => {
    const saved = await save(() => onSave(values) as never);
    if (saved) {
      forgetDraft();
      onSaved(saved as Tank);
    }
  });
  const round = ['cylinder', 'bowl', 'tapered tub'].includes(values.shape);
  return (
    <View style={{ gap: 16 }}>
      <StaleNotice
        stale={stale}
        fields={FIELDS}
        onKeepMine={() => void submit()}
        onTakeTheirs={({ id: _, ...theirs }: Tank) => reset(theirs)}
      />
      <FormFields control={control} fields={WHAT} />
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
      <FormFields control={control} fields={byLitres ? LITRES : measuresOf(round)} />
      {!byLitres && fieldError('litres') ? (
        <ErrorLine fieldError={String(fieldError('litres'))} />
      ) : null}
      <FormFields control={control} fields={ITS_WATER} />
      <Guesses control={control} values={values} />
      <Litres values={values} />
      <Button variant="primary" label={act} onPress={() => submit()} />
    </View>
  );
}

/** What was not asked: each as it is guessed for a tank of this kind, to be changed by a tap. */
function Guesses({ control, values }: { control: Control<TankValues>; values: TankValues }) {
  const format = useFormat();
  const [open, setOpen] = useState(false);
  const furnishing = furnishingOf(values);
  if (!open) {
    const said = FURNISHING.map(({ says }) => says(furnishing));
    return (
      <View style={{ gap: 8, alignItems: 'flex-start' }}>
        <Text variant="strong">
          {furnishing.guessed.length > 0 ? `Guessed for a tank of this kind` : 'In it'}
        </Text>
        <Text tone="quiet">{said.join('; ')}.</Text>
        <Button label="Correct these" onPress={() => setOpen(true)} />
      </View>
    );
  }
  return (
    <View style={{ gap: 16 }}>
      {FURNISHING.map(({ field, label, options }) => (
        <PickerInput
          key={field}
          control={control}
          name={field}
          label={label}
          blank={`guess: ${furnishingOf({ ...values, [field]: null })[field]}`}
          picks={options.map((option) => ({ value: option, title: option }))}
        />
      ))}
      {furnishing.ground === 'bare' ? null : (
        <MeasureInput
          control={control}
          name="groundDepthCm"
          label="Depth of the ground"
          measure="length"
          decimals={2}
          hint={`Left empty: guessed as ${format.quantity('length', furnishing.groundDepthCm)}.`}
        />
      )}
    </View>
  );
}

/** Litres as they follow from what is typed so far. */
function Litres({ values }: { values: TankValues }) {
  const format = useFormat();
  const water = litresOf(values);
  if (!water) return null;
  const said = format.quantity('volume', water.value);
  return (
    <View style={{ flexDirection: 'row', alignItems: 'center' }}>
      <Text tone="quiet">That is {said} of water.</Text>
      <WhyLink about={said} why={water} />
    </View>
  );
}

/** Null while what is typed does not make a tank yet; the schema says what is wrong with it. */
function litresOf(values: TankValues) {
  const finite = (value: number | null) => (Number.isNaN(value) ? null : value);
  try {
    return waterLitres({
      ...values,
      lengthCm: finite(values.lengthCm),
      widthCm: finite(values.widthCm),
      heightCm: finite(values.heightCm),
      waterLevelCm: finite(values.waterLevelCm),
      groundDepthCm: finite(values.groundDepthCm),
      litres: finite(values.litres),
    });
  } catch {
    return null;
  }
}
