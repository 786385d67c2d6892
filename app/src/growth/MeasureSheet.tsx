import { zodResolver } from '@hookform/resolvers/zod';
import { groupEvent, type Group, type GroupEvent } from '@open-larder/contract';
import { sampleOf } from '@open-larder/core/growth';
import { formatNumber } from '@open-larder/say';
import { useState } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import { View } from 'react-native';
import type { z } from 'zod';
import { FormFields, type FormField } from '../forms/FormFields';
import { api, useAppDispatch, useNow, useFormat, type Format } from '../store';
import { call } from '../store/call';
import { Button, Choice, ErrorLine, Field, Sheet, Text, useToast } from '../ui';
import { useSave } from '../ui/useSave';
import { UnlikelyLength } from '../group/UnlikelyLength';
import { PhotoMeasure, type InPhoto } from './PhotoMeasure';
import { readLengths } from './readLengths';
import { formatPercent } from './labels';
import { formIntent } from '../store/intent';

type Measured = Extract<z.input<typeof groupEvent>, { kind: 'measured' }>;

const BESIDES: FormField<Measured>[] = [
  {
    name: 'massG',
    label: 'Mass of one, where you weighed them',
    hint: 'In water, in a cup on the scale: never dry.',
    as: 'number',
    unit: 'g',
    decimals: 4,
  },
  { name: 'day', label: 'On', as: 'date', required: true },
  { name: 'note', label: 'Note', as: 'text' },
];

/** A few fish measured: number by number, or in a picture beside a ruler. */
export function MeasureSheet({ group, onClose }: { group: Group; onClose: () => void }) {
  const toast = useToast();
  const dispatch = useAppDispatch();
  const now = useNow();
  const format = useFormat();
  const [add] = api.useAddGroupEventMutation();
  const [by, setBy] = useState<'numbers' | 'photo'>('numbers');
  const [text, setText] = useState('');
  const [photo, setPhoto] = useState<InPhoto | null>(null);
  const intent = formIntent('measured', group.id);
  const { id } = intent;
  const form = useForm<Measured, unknown, GroupEvent>({
    resolver: zodResolver(groupEvent) as never,
    defaultValues: {
      id,
      kind: 'measured',
      day: now.day,
      note: '',
      lengthCm: 0,
      lengthsCm: [],
      massG: null,
      confirmed: false,
    },
  });
  const { save } = useSave<Measured>(form as never);
  const { control, setValue, clearErrors, formState } = form;
  const lengths = (useWatch({ control, name: 'lengthsCm' }) ?? []) as readonly number[];
  const take = (taken: readonly number[]) => {
    setValue('lengthsCm', [...taken]);
    setValue('lengthCm', taken.reduce((sum, one) => sum + one, 0) / Math.max(1, taken.length));
    setValue('confirmed', false);
    clearErrors();
  };
  const read = readLengths(text, format);
  const submit = form.handleSubmit(async (body) => {
    const photoId = intent.also('photo');
    if (!(await save(() => add({ params: { id: group.id }, body: { ...body, id } })))) return;
    const kept = photo && by === 'photo' ? await keep(id, photoId, photo) : null;
    // The measurement was read again before its picture was there.
    if (photo && by === 'photo') dispatch(api.util.invalidateTags(['life']));
    if (kept) toast(`The lengths are noted. ${kept}`, { tone: 'error' });
    else toast('They are noted; portions follow.');
    onClose();
  });
  const { lengthsCm, lengthCm, confirmed } = formState.errors;
  const wrong = [lengthsCm, ...(Array.isArray(lengthsCm) ? lengthsCm : []), lengthCm].find(
    (one) => one?.message,
  )?.message;
  return (
    <Sheet title={`Measure ${group.name}`} open onClose={onClose}>
      <Choice
        label="How"
        value={by}
        onChange={(how) => {
          setBy(how);
          take(how === 'photo' ? (photo?.lengthsCm ?? []) : (read.lengths ?? []));
        }}
        options={[
          { value: 'numbers', label: 'by number' },
          { value: 'photo', label: 'in a photo' },
        ]}
      />
      {by === 'numbers' ? (
        <Field
          label="Total lengths, one after the other"
          value={text}
          onChange={(value) => {
            setText(value);
            take(readLengths(value, format).lengths ?? []);
          }}
          placeholder="2.1 2.4 2.2"
          hint={`Nose to tail tip, in ${format.scale('length').unit}, with spaces between. Six say far more than one.`}
          fieldError={(text.trim() ? read.error : undefined) ?? wrong}
        />
      ) : (
        <>
          <PhotoMeasure
            onDone={(done) => {
              setPhoto(done);
              take(done?.lengthsCm ?? []);
            }}
          />
          {wrong ? <ErrorLine fieldError={wrong} /> : null}
        </>
      )}
      {lengths.length > 0 ? (
        <Text role="status">{formatSample(lengths, group.size.total, format)}</Text>
      ) : null}
      <FormFields control={control as never} fields={BESIDES} />
      <UnlikelyLength
        asks={confirmed?.message}
        onKeep={() => {
          setValue('confirmed', true);
          void submit();
        }}
      />
      <View style={{ alignItems: 'flex-start' }}>
        <Button variant="primary" label="Note it" onPress={() => submit()} />
      </View>
    </Sheet>
  );
}

/** @returns what went wrong, in words; null where the picture is kept */
async function keep(
  eventId: string,
  id: string,
  { picture, marks }: InPhoto,
): Promise<string | null> {
  const { url, widthPx, heightPx } = picture;
  const body = { id, eventId, widthPx, heightPx, picture: url, marks };
  const answer = await call('keepPhoto', { body });
  return 'error' in answer ? `The picture could not be kept: ${answer.error.detail}` : null;
}

function formatSample(lengths: readonly number[], there: number, format: Format): string {
  if (lengths.some((one) => !(one > 0))) return 'A length is more than nothing.';
  const { n, mean, low, high, cv, again } = sampleOf(lengths, Math.max(1, there));
  if (again) {
    return `More lengths than fish: some were measured twice. Mean ${format.quantity('length', mean)}.`;
  }
  if (low === null || high === null) {
    return `One fish, ${format.quantity('length', mean)}: nothing says how the others are.`;
  }
  const scale = format.scale('length');
  return `${n} fish: mean ${format.quantity('length', mean)}, likely ${formatNumber(scale.fromBase(low), 2)} to ${format.quantity('length', high)}; they differ by ${formatPercent(cv!)}.`;
}
