import type { Checkpoint } from '@open-larder/core/growth';
import { useFieldArray, type Control } from 'react-hook-form';
import { View } from 'react-native';
import { MeasureInput, NumberInput, TextInput } from '../forms/inputs';
import { Button } from '../ui';

const DAYS_A_MONTH = 30.4375;
const MONTHS = {
  fromBase: (days: number) => days / DAYS_A_MONTH,
  toBase: (months: number) => Math.round(months * DAYS_A_MONTH),
};
const MAX = 6;

/** A checkpoint that still has to be filled in. */
export const FIRST_CHECKPOINT = { name: '', lengthCm: null as never, ageDays: null };

/** The list of lengths by an age, in a form that has them as `checkpoints`. */
export function CheckpointFields({ control }: { control: Control<{ checkpoints: Checkpoint[] }> }) {
  const { fields, append, remove } = useFieldArray({ control, name: 'checkpoints' });
  return (
    <>
      {fields.map((field, index) => (
        <View key={field.id} style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
          <View style={{ flexBasis: 100, flexGrow: 1 }}>
            <MeasureInput
              control={control}
              name={`checkpoints.${index}.lengthCm`}
              label="Length"
              measure="length"
            />
          </View>
          <View style={{ flexBasis: 100, flexGrow: 1 }}>
            <NumberInput
              control={control}
              name={`checkpoints.${index}.ageDays`}
              label="By the age of"
              unit="months"
              scale={MONTHS}
              decimals={1}
              hint="Leave empty for any age."
            />
          </View>
          <View style={{ flexBasis: 160, flexGrow: 2 }}>
            <TextInput
              control={control}
              name={`checkpoints.${index}.name`}
              label="What for"
              placeholder="sellable"
            />
          </View>
          <View style={{ justifyContent: 'center' }}>
            <Button
              variant="bare"
              label="Remove"
              spoken={`Remove checkpoint ${index + 1}`}
              onPress={() => remove(index)}
            />
          </View>
        </View>
      ))}
      {fields.length < MAX ? (
        <View style={{ alignItems: 'flex-start' }}>
          <Button label="Add a checkpoint" onPress={() => append(FIRST_CHECKPOINT)} />
        </View>
      ) : null}
    </>
  );
}
