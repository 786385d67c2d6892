import { zodResolver } from '@hookform/resolvers/zod';
import { groupEvent, type Group, type GroupEvent } from '@open-larder/contract';
import { STAGES } from '@open-larder/core';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { v7 as uuidv7 } from 'uuid';
import type { z } from 'zod';
import { api, useNow } from '../store';
import { DateInput, MeasureInput, PickerInput } from '../forms/inputs';
import { Button, Sheet, Text, useSave, useSay } from '../ui';
import { Counts } from './Counts';

export type EventKind = GroupEvent['kind'];
type Values = z.input<typeof groupEvent>;

const SAYS: Record<EventKind, { title: string; text: string; done: string }> = {
  measured: {
    title: 'Measure',
    text: 'Mean total length, nose to tail tip, of a few fish. The portions follow from it.',
    done: 'Length is noted; portions follow.',
  },
  counted: {
    title: 'Count',
    text: 'How many there really are. Earlier events stay as they were.',
    done: 'The count is noted.',
  },
  arrived: { title: 'More came', text: 'How many joined this group.', done: 'They are in.' },
  died: { title: 'Losses', text: 'How many were lost.', done: 'The loss is noted.' },
  staged: {
    title: 'Stage',
    text: 'What this group is now; need and rhythm follow.',
    done: 'The stage is noted; portions follow.',
  },
};

/** Something happened to a group: one small form for each kind of event. */
export function EventSheet({
  kind,
  group,
  onClose,
}: {
  kind: EventKind;
  group: Group;
  onClose: () => void;
}) {
  const say = useSay();
  const now = useNow();
  const [id] = useState(() => uuidv7());
  const [add] = api.useAddGroupEventMutation();
  const counted = kind === 'counted' ? group.size : { males: 0, females: 0, unsexed: 0 };
  const form = useForm<Values, unknown, GroupEvent>({
    resolver: zodResolver(groupEvent),
    defaultValues: startOf(kind, id, now.day, counted, group),
  });
  const { save } = useSave<Values>(form as never);
  const { control, formState, handleSubmit } = form;
  const { errors } = formState;
  const submit = handleSubmit(async (body) => {
    const saved = await save(() => add({ params: { id: group.id }, body }) as never);
    if (!saved) return;
    say(SAYS[kind].done);
    onClose();
  });
  return (
    <Sheet title={SAYS[kind].title} open onClose={onClose}>
      <Text tone="quiet">{SAYS[kind].text}</Text>
      {kind === 'measured' ? (
        <MeasureInput
          control={control}
          name="lengthCm"
          label="Mean length"
          measure="length"
          decimals={2}
        />
      ) : kind === 'staged' ? (
        <PickerInput
          control={control}
          name="stage"
          label="Stage"
          picks={STAGES.map((one) => ({ value: one, title: one }))}
        />
      ) : (
        <Counts control={control as never} errors={errors as never} />
      )}
      <DateInput control={control} name="day" label="Day" required />
      <Button
        look="primary"
        label="Note it"
        busy={formState.isSubmitting}
        onPress={() => void submit()}
      />
    </Sheet>
  );
}

function startOf(
  kind: EventKind,
  id: string,
  day: string,
  { males, females, unsexed }: { males: number; females: number; unsexed: number },
  group: Group,
): Values {
  const base = { id, day };
  if (kind === 'measured') return { ...base, kind, lengthCm: group.lengthCm ?? (null as never) };
  if (kind === 'staged') return { ...base, kind, stage: group.stage };
  return { ...base, kind, males, females, unsexed };
}
