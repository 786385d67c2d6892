import { zodResolver } from '@hookform/resolvers/zod';
import { groupEdit, type Group } from '@open-larder/contract';
import { useFieldArray, useForm } from 'react-hook-form';
import { View } from 'react-native';
import type { z } from 'zod';
import { DateInput, MeasureInput, NumberInput, TextInput } from '../forms/inputs';
import { api } from '../store';
import { Button, Sheet, StaleNotice, Text, useSave, useToast } from '../ui';

type Values = z.output<typeof groupEdit>;

const DAYS_A_MONTH = 30.4375;
const MONTHS = {
  fromBase: (days: number) => days / DAYS_A_MONTH,
  toBase: (months: number) => Math.round(months * DAYS_A_MONTH),
};
const MAX = 6;

/** Lengths that a group should have by an age, and the day from which ages count. */
export function CheckpointsSheet({ group, onClose }: { group: Group; onClose: () => void }) {
  const toast = useToast();
  const [edit] = api.useEditGroupMutation();
  const { name, speciesKey, version, archived } = group;
  const form = useForm<Values>({
    resolver: zodResolver(groupEdit),
    defaultValues: {
      name,
      speciesKey,
      version,
      archived,
      bornOn: group.bornOn,
      checkpoints:
        group.checkpoints.length > 0
          ? group.checkpoints
          : [{ name: '', lengthCm: null as never, ageDays: null }],
    },
  });
  const { fields, append, remove } = useFieldArray({ control: form.control, name: 'checkpoints' });
  const { save, stale } = useSave(form);
  const submit = form.handleSubmit(async (body) => {
    const saved = await save<Group>(() => edit({ params: { id: group.id }, body }) as never);
    if (!saved) return;
    toast(saved.checkpoints.length === 0 ? 'No checkpoints are kept.' : 'Checkpoints are saved.');
    onClose();
  });
  return (
    <Sheet title={`Checkpoints for ${group.name}`} open onClose={onClose}>
      <StaleNotice
        stale={stale}
        fields={{ bornOn: 'Born or hatched', checkpoints: 'Checkpoints' }}
        onKeepMine={() => void submit()}
        onTakeTheirs={({ bornOn, checkpoints, version }: Group) =>
          form.reset({ name, speciesKey, version, archived, bornOn, checkpoints })
        }
      />
      <Text tone="quiet">
        A length they should have by an age, or a size you wait for: you see when they get there,
        and which fish fall behind.
      </Text>
      <DateInput control={form.control} name="bornOn" label="Born or hatched on" />
      {fields.map((field, index) => (
        <View key={field.id} style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
          <View style={{ flexBasis: 100, flexGrow: 1 }}>
            <MeasureInput
              control={form.control}
              name={`checkpoints.${index}.lengthCm`}
              label="Length"
              measure="length"
            />
          </View>
          <View style={{ flexBasis: 100, flexGrow: 1 }}>
            <NumberInput
              control={form.control}
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
              control={form.control}
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
          <Button
            label="Add a checkpoint"
            onPress={() => append({ name: '', lengthCm: null as never, ageDays: null })}
          />
        </View>
      ) : null}
      <Button variant="primary" label="Save" onPress={() => submit()} />
    </Sheet>
  );
}
