import type { FoodRow } from '@open-larder/contract';
import { PERCENT } from '../forms/percent';
import { balance, type Target } from '@open-larder/core/balance';
import { batchOf, trayMassG, WATER } from '@open-larder/core/recipe';
import { useState } from 'react';
import { useController, type Control, type UseFormReturn } from 'react-hook-form';
import { View } from 'react-native';
import { Button, Choice, Text } from '../ui';
import { NumberField } from '../ui/NumberField';
import type { RecipeValues } from './RecipeForm';
import { formatMiss, TARGET_NAMES } from './labels';

const TARGETS: readonly Target[] = ['protein', 'fat', 'plant', 'moisture'];

interface Props {
  form: UseFormReturn<RecipeValues>;
  foods: ReadonlyMap<string, FoodRow>;
}

/** What the mix shall reach, and the shares that reach it. */
export function Balancing({ form, foods }: Props) {
  const [from, setFrom] = useState<'shelf' | 'any'>('shelf');
  const [said, setSaid] = useState<string[]>([]);
  const work = () => setSaid(balanced(form, foods, from === 'shelf'));
  return (
    <View style={{ gap: 12 }}>
      <Text tone="quiet">
        Say what the mix shall reach; leave empty what does not matter. Protein, fat and plant are
        shares of the dry matter, moisture of the whole. The shares nearest to yours that reach it
        are worked out.
      </Text>
      {TARGETS.map((target) => (
        <Band key={target} control={form.control} target={target} />
      ))}
      <Choice
        label="Take"
        value={from}
        onChange={setFrom}
        options={[
          { value: 'shelf', label: 'what the shelf has for a tray' },
          { value: 'any', label: 'any amount' },
        ]}
      />
      <View style={{ alignItems: 'flex-start' }}>
        <Button label="Balance the shares" onPress={() => work()} />
      </View>
      <View aria-live="polite" style={{ gap: 4 }}>
        {said.map((line) => (
          <Text key={line}>{line}</Text>
        ))}
      </View>
    </View>
  );
}

/** Put balanced shares into the form; says what was reached, and what limits the rest. */
function balanced(
  form: UseFormReturn<RecipeValues>,
  foods: ReadonlyMap<string, FoodRow>,
  onlyShelf: boolean,
): string[] {
  const values = form.getValues();
  if (values.ingredients.some(({ foodId }) => foodId === '')) {
    return ['Choose every ingredient first.'];
  }
  const shares = values.ingredients.map((one) => one.share);
  const { rawG } = batchOf(shares, values, values.tray, trayMassG(values.tray));
  const candidates = values.ingredients.map(({ foodId, share, binder }) => {
    const food = foodId === null ? undefined : foods.get(foodId);
    return {
      composition: (food ?? WATER).composition,
      plantShare: (food ?? WATER).plantShare,
      share,
      fixed: binder,
      max: food && onlyShelf ? food.remainingG / rawG : Infinity,
    };
  });
  const found = attempt(() => balance(candidates, values.targets, values));
  if (typeof found === 'string') return [found];
  if (found === null) {
    return [
      'The shelf has too little for a tray of this, whatever the shares. Take any amount, or make the tray smaller.',
    ];
  }
  form.setValue(
    'ingredients',
    values.ingredients.map((one, at) => ({ ...one, share: found.shares[at] as number })),
    { shouldDirty: true, shouldValidate: true },
  );
  const names = found.limitedBy.flatMap((at) => {
    const id = values.ingredients[at]?.foodId;
    return id ? (foods.get(id)?.name ?? []) : [];
  });
  return [
    ...(found.misses.length === 0 ? ['Every target is reached.'] : found.misses.map(formatMiss)),
    ...(names.length > 0 ? [`The shelf has no more ${names.join(', nor ')}.`] : []),
  ];
}

/** A result, or what is wrong in words. */
function attempt<T>(work: () => T): T | string {
  try {
    return work();
  } catch (error) {
    if (error instanceof RangeError) return error.message;
    throw error;
  }
}

function Band({ control, target }: { control: Control<RecipeValues>; target: Target }) {
  const { field, fieldState } = useController({ control, name: `targets.${target}` });
  const [low, high] = field.value ?? [null, null];
  const set = (min: number | null, max: number | null) =>
    field.onChange(min === null && max === null ? null : [min ?? 0, max ?? 1]);
  const name = TARGET_NAMES[target];
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
      <View style={{ flexBasis: 120, flexGrow: 1 }}>
        <NumberField
          label={`${name}, least`}
          unit="%"
          scale={PERCENT}
          decimals={1}
          value={low}
          onChange={(value) => set(value, high)}
          fieldError={fieldState.error?.message ?? fieldState.error?.root?.message}
        />
      </View>
      <View style={{ flexBasis: 120, flexGrow: 1 }}>
        <NumberField
          label={`${name}, most`}
          unit="%"
          scale={PERCENT}
          decimals={1}
          value={high}
          onChange={(value) => set(low, value)}
        />
      </View>
    </View>
  );
}
