import { PREPARATIONS, type Preparation } from '@open-larder/catalogue';
import { useFieldArray, useWatch, type Control } from 'react-hook-form';
import { View } from 'react-native';
import { NumberInput, PickerInput } from '../forms/inputs';
import { Button, Text } from '../ui';
import type { FoodValues } from './FoodFields';

/** After these it is in smaller pieces. */
const MAKES_SMALLER: ReadonlySet<Preparation> = new Set(['crumble', 'crush and sieve']);
/** Where a new step begins, to be corrected. */
const NEW_STEP = { kind: 'soak' as const, leadMin: 30, workMin: 1, toMm: null };
const MAX = 6;

/** What is done to a food before it is served, in order, each with its time ahead and its work. */
export function StepsInput({ control }: { control: Control<FoodValues> }) {
  const { fields, append, remove } = useFieldArray({ control, name: 'steps' });
  const kinds = useWatch({ control, name: 'steps' });
  return (
    <View style={{ gap: 12 }}>
      {fields.length === 0 ? <Text tone="quiet">It is served as it is.</Text> : null}
      {fields.map((field, index) => (
        <View key={field.id} style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
          <View style={{ flexBasis: 150, flexGrow: 2 }}>
            <PickerInput
              control={control}
              name={`steps.${index}.kind`}
              label={`Step ${index + 1}`}
              picks={PREPARATIONS.map((kind) => ({ value: kind, title: kind }))}
            />
          </View>
          <View style={{ flexBasis: 100, flexGrow: 1 }}>
            <NumberInput
              control={control}
              name={`steps.${index}.leadMin`}
              label="Ahead"
              unit="min"
              decimals={0}
            />
          </View>
          <View style={{ flexBasis: 100, flexGrow: 1 }}>
            <NumberInput
              control={control}
              name={`steps.${index}.workMin`}
              label="Work"
              unit="min"
              decimals={1}
            />
          </View>
          {MAKES_SMALLER.has(kinds?.[index]?.kind ?? 'soak') ? (
            <View style={{ flexBasis: 100, flexGrow: 1 }}>
              <NumberInput
                control={control}
                name={`steps.${index}.toMm`}
                label="Pieces up to"
                unit="mm"
              />
            </View>
          ) : null}
          <View style={{ justifyContent: 'flex-end' }}>
            <Button
              variant="bare"
              label="Remove"
              spoken={`Remove step ${index + 1}`}
              onPress={() => remove(index)}
            />
          </View>
        </View>
      ))}
      {fields.length < MAX ? (
        <View style={{ alignItems: 'flex-start' }}>
          <Button label="Add a step" onPress={() => append(NEW_STEP)} />
        </View>
      ) : null}
    </View>
  );
}
