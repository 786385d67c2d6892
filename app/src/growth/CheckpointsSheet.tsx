import { zodResolver } from '@hookform/resolvers/zod';
import { groupEdit, type Group } from '@open-larder/contract';
import { useForm } from 'react-hook-form';
import type { z } from 'zod';
import { DateInput } from '../forms/inputs';
import { api } from '../store';
import { Button, Sheet, Text, useToast } from '../ui';
import { StaleNotice } from '../ui/StaleNotice';
import { useSave } from '../ui/useSave';
import { CheckpointFields, FIRST_CHECKPOINT } from './CheckpointFields';

type Values = z.output<typeof groupEdit>;

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
      checkpoints: group.checkpoints.length > 0 ? group.checkpoints : [FIRST_CHECKPOINT],
    },
  });
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
      <CheckpointFields control={form.control as never} />
      <Button variant="primary" label="Save" onPress={() => submit()} />
    </Sheet>
  );
}
