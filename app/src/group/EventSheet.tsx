import { zodResolver } from '@hookform/resolvers/zod';
import { groupEvent, type Group, type GroupEvent, type LifeEventRow } from '@open-larder/contract';
import { STAGES } from '@open-larder/core/fish';
import { CAUSES } from '@open-larder/core/group';
import { useForm } from 'react-hook-form';
import type { z } from 'zod';
import { api, useNow, type AppData } from '../store';
import { DateInput, MeasureInput, PickerInput, TextInput } from '../forms/inputs';
import { Button, Sheet, Text, useToast } from '../ui';
import { useSave } from '../ui/useSave';
import { Counts } from './Counts';
import { tankPicks } from './picks';
import { UnlikelyLength } from './UnlikelyLength';
import { formatCause } from './labels';
import { formIntent } from '../store/intent';

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
  born: { title: 'Born', text: 'How many young swim with this group.', done: 'They are in.' },
  died: { title: 'Losses', text: 'How many were lost, and of what.', done: 'The loss is noted.' },
  sold: {
    title: 'Sold',
    text: 'How many left for a buyer. Local rules may ask for papers or a licence.',
    done: 'The sale is noted.',
  },
  given: { title: 'Given away', text: 'How many left for another keeper.', done: 'It is noted.' },
  moved: {
    title: 'Move',
    text: 'Where all of this group lives from that day on.',
    done: 'They are moved; what they eat goes with them.',
  },
  staged: {
    title: 'Stage',
    text: 'What this group is now; need and rhythm follow.',
    done: 'The stage is noted; portions follow.',
  },
};

interface Props {
  kind: EventKind;
  group: Group;
  data: AppData;
  onClose: () => void;
  /** The event that this one is put in the place of. */
  replaces?: LifeEventRow;
}

/** Something happened to a group: one small form for each kind of event. */
export function EventSheet({ kind, group, data, onClose, replaces }: Props) {
  const toast = useToast();
  const now = useNow();
  const intent = formIntent('event', group.id, kind, replaces?.id);
  const { id } = intent;
  const [add] = api.useAddGroupEventMutation();
  const [withdraw] = api.useWithdrawGroupEventMutation();
  const form = useForm<Values, unknown, GroupEvent>({
    resolver: zodResolver(groupEvent),
    defaultValues: startOf(kind, id, now.day, group, replaces),
  });
  const { save } = useSave<Values>(form as never);
  const { control, formState, handleSubmit } = form;
  const { errors } = formState;
  const submit = handleSubmit(async (body) => {
    const saved = await save(
      () =>
        (replaces
          ? withdraw({
              params: { id: replaces.id },
              body: { id: intent.also('withdrawal'), replacement: { ...body, id } },
            })
          : add({ params: { id: group.id }, body: { ...body, id } })) as never,
    );
    if (!saved) return;
    toast(replaces ? 'It is corrected; what follows from it is recalculated.' : SAYS[kind].done);
    onClose();
  });
  return (
    <Sheet
      title={replaces ? `Correct: ${SAYS[kind].title.toLowerCase()}` : SAYS[kind].title}
      open
      onClose={onClose}
    >
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
      ) : kind === 'moved' ? (
        <PickerInput
          control={control}
          name="tankId"
          label="To tank"
          search
          placeholder="Choose a tank"
          picks={tankPicks(data)}
        />
      ) : (
        <Counts control={control as never} errors={errors as never} />
      )}
      {kind === 'died' ? (
        <PickerInput
          control={control}
          name="cause"
          label="Of what"
          picks={CAUSES.map((cause) => ({ value: cause, title: formatCause(cause) }))}
        />
      ) : null}
      <UnlikelyLength
        asks={(errors as { confirmed?: { message?: string } }).confirmed?.message}
        onKeep={() => {
          form.setValue('confirmed' as never, true as never);
          void submit();
        }}
      />
      <DateInput control={control} name="day" label="Day" required />
      <TextInput control={control} name="note" label="Note" />
      <Button
        variant="primary"
        label={replaces ? 'Put this in its place' : 'Note it'}
        onPress={() => submit()}
      />
    </Sheet>
  );
}

function startOf(
  kind: EventKind,
  id: string,
  today: string,
  group: Group,
  replaces: LifeEventRow | undefined,
): Values {
  const base = { id, day: replaces?.day ?? today, note: replaces?.note ?? '' };
  if (kind === 'measured') {
    return { ...base, kind, lengthCm: replaces?.lengthCm ?? group.lengthCm ?? (null as never) };
  }
  if (kind === 'staged') return { ...base, kind, stage: replaces?.stage ?? group.stage };
  if (kind === 'moved') return { ...base, kind, tankId: replaces?.tankId ?? '' };
  const from = replaces ?? (kind === 'counted' ? group.size : null);
  const counts = {
    males: from?.males ?? 0,
    females: from?.females ?? 0,
    unsexed: from?.unsexed ?? 0,
  };
  if (kind === 'died') return { ...base, kind, ...counts, cause: replaces?.cause ?? 'unknown' };
  return { ...base, kind, ...counts };
}
