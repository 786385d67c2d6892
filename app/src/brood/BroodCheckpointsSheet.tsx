import { zodResolver } from '@hookform/resolvers/zod';
import { broodEdit, type BroodFields } from '@open-larder/contract';
import { useForm } from 'react-hook-form';
import { CheckpointFields, FIRST_CHECKPOINT } from '../growth/CheckpointFields';
import { api } from '../store';
import { Button, Sheet, Text, useToast } from '../ui';
import { StaleNotice } from '../ui/StaleNotice';
import { useSave } from '../ui/useSave';
import type { Brood } from './useBroods';

/** Lengths that the keeper wants the young to have by an age, beside those that every brood has. */
export function BroodCheckpointsSheet({ brood, onClose }: { brood: Brood; onClose: () => void }) {
  const toast = useToast();
  const [edit] = api.useEditBroodMutation();
  const kept = broodEdit.parse(brood);
  const form = useForm<BroodFields>({
    resolver: zodResolver(broodEdit),
    defaultValues: {
      ...kept,
      checkpoints: kept.checkpoints.length > 0 ? kept.checkpoints : [FIRST_CHECKPOINT],
    },
  });
  const { save, stale } = useSave(form);
  const submit = form.handleSubmit(async (body) => {
    if (!(await save(() => edit({ params: { id: brood.id }, body })))) return;
    toast(body.checkpoints.length === 0 ? 'No lengths of your own.' : 'Your lengths are saved.');
    onClose();
  });
  return (
    <Sheet title={`Lengths for ${brood.name}`} open onClose={onClose}>
      <StaleNotice
        stale={stale}
        fields={{ checkpoints: 'Lengths' }}
        onKeepMine={() => void submit()}
        onTakeTheirs={onClose}
      />
      <Text tone="quiet">
        A length they should have by an age: you see whether they will. Ages count from hatching.
      </Text>
      <CheckpointFields control={form.control as never} />
      <Button variant="primary" label="Save" onPress={() => submit()} />
    </Sheet>
  );
}
