import { zodResolver } from '@hookform/resolvers/zod';
import { groupSplit, type Group } from '@open-larder/contract';
import { useForm } from 'react-hook-form';
import type { z } from 'zod';
import { api, useNow, type AppData } from '../store';
import { DateInput, PickerInput, TextInput } from '../forms/inputs';
import { Button, Sheet, Text, useToast } from '../ui';
import { useSave } from '../ui/useSave';
import { Counts } from './Counts';
import { tankPicks } from './picks';
import { formIntent } from '../store/intent';

type Values = z.input<typeof groupSplit>;

interface Props {
  group: Group;
  data: AppData;
  /** For a while, in quarantine, rather than for good. */
  apart: boolean;
  onClose: () => void;
}

/** Part of a group becomes a group of its own, here or in another tank. */
export function SplitSheet({ group, data, apart, onClose }: Props) {
  const toast = useToast();
  const now = useNow();
  const { id } = formIntent('split', group.id, apart);
  const [split] = api.useSplitGroupMutation();
  const form = useForm<Values, unknown, z.output<typeof groupSplit>>({
    resolver: zodResolver(groupSplit),
    defaultValues: {
      id,
      name: `${group.name}, ${apart ? 'apart' : 'second group'}`.slice(0, 60),
      tankId: apart ? '' : group.tankId,
      day: now.day,
      males: 0,
      females: 0,
      unsexed: 0,
      apart,
      note: '',
    },
  });
  const { save } = useSave<Values>(form as never);
  const { control, formState, handleSubmit } = form;
  const submit = handleSubmit(async (body) => {
    const made = await save<Group>(
      () => split({ params: { id: group.id }, body: { ...body, id } }) as never,
    );
    if (!made) return;
    toast(
      apart
        ? `${made.name} are in quarantine. Plan what they eat there.`
        : `${made.name} are a group of their own. Plan what they eat.`,
    );
    onClose();
  });
  return (
    <Sheet title={apart ? 'Set apart' : 'Split'} open onClose={onClose}>
      <Text tone="quiet">
        {apart
          ? 'Those set apart become a group in quarantine, with a diet of its own. Join them again later.'
          : 'Those that leave become a group of their own; none are lost between the two.'}
      </Text>
      <Counts control={control as never} errors={formState.errors as never} />
      <TextInput control={control} name="name" label="What you call them" />
      <PickerInput
        control={control}
        name="tankId"
        label="In tank"
        search
        placeholder="Choose a tank"
        picks={tankPicks(data)}
      />
      <DateInput control={control} name="day" label="Day" required />
      <TextInput control={control} name="note" label="Note" />
      <Button
        variant="primary"
        label={apart ? 'Set them apart' : 'Split them off'}
        onPress={() => submit()}
      />
    </Sheet>
  );
}
