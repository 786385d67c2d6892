import { zodResolver } from '@hookform/resolvers/zod';
import { groupMerge, type Group } from '@open-larder/contract';
import { useRouter } from 'expo-router';
import { useForm } from 'react-hook-form';
import type { z } from 'zod';
import { api, useNow, type AppData } from '../store';
import { DateInput, PickerInput, TextInput } from '../forms/inputs';
import { Button, Sheet, Text, useToast } from '../ui';
import { useSave } from '../ui/useSave';
import { groupPicks } from './picks';
import { formIntent, stampFor } from '../store/intent';

type Values = z.input<typeof groupMerge>;

/** A whole group joins another of its species, and ends. */
export function MergeSheet({
  group,
  data,
  onClose,
}: {
  group: Group;
  data: AppData;
  onClose: () => void;
}) {
  const toast = useToast();
  const router = useRouter();
  const now = useNow();
  const { id } = formIntent('merge', group.id);
  const [merge] = api.useMergeGroupMutation();
  const [withdraw] = api.useWithdrawGroupEventMutation();
  const picks = groupPicks(data, group);
  const form = useForm<Values, unknown, z.output<typeof groupMerge>>({
    resolver: zodResolver(groupMerge),
    defaultValues: { id, intoGroupId: picks[0]?.value ?? '', day: now.day, note: '' },
  });
  const { save } = useSave<Values>(form as never);
  const { control, handleSubmit } = form;
  const submit = handleSubmit(async (body) => {
    const into = await save<Group>(
      () => merge({ params: { id: group.id }, body: { ...body, id } }) as never,
    );
    if (!into) return;
    onClose();
    toast(`${group.name} joined ${into.name}.`, {
      undo: () =>
        void withdraw({
          params: { id },
          body: { id: stampFor('undo', id).id, replacement: null },
        }),
    });
    router.replace(`/groups/${into.id}`);
  });
  return (
    <Sheet title="Join another group" open onClose={onClose}>
      {picks.length === 0 ? (
        <Text>No other group is of this species. Only groups of one species can become one.</Text>
      ) : (
        <>
          <Text tone="quiet">
            All of {group.name} go to the other group and eat what it eats; this group ends that
            day, and its records stay.
          </Text>
          <PickerInput control={control} name="intoGroupId" label="They join" picks={picks} />
          <DateInput control={control} name="day" label="Day" required />
          <TextInput control={control} name="note" label="Note" />
          <Button variant="primary" label="Join them" onPress={() => submit()} />
        </>
      )}
    </Sheet>
  );
}
