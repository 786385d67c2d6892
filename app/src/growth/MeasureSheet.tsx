import type { Group, GroupEvent, Problem } from '@open-larder/contract';
import { sampleOf } from '@open-larder/core/growth';
import { formatNumber } from '@open-larder/say';
import { useState } from 'react';
import { View } from 'react-native';
import { api, useAppDispatch, useNow, useFormat, type Format } from '../store';
import { call } from '../store/call';
import {
  Button,
  Choice,
  DateField,
  Field,
  fieldErrorsOf,
  NumberField,
  Sheet,
  Text,
  useToast,
  type FieldErrors,
} from '../ui';
import { UnlikelyLength } from '../group/UnlikelyLength';
import { PhotoMeasure, type InPhoto } from './PhotoMeasure';
import { readLengths } from './readLengths';
import { formatPercent } from './labels';
import { formIntent } from '../store/intent';

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
  const [massG, setMassG] = useState<number | null>(null);
  const [day, setDay] = useState<string | null>(now.day);
  const [note, setNote] = useState('');
  const [fieldErrors, setFieldErrors] = useState<FieldErrors>({});
  const intent = formIntent('measured', group.id);
  const { id } = intent;
  const read = readLengths(text, format);
  const lengths = photo && by === 'photo' ? photo.lengthsCm : (read.lengths ?? []);
  const save = async (confirmed = false) => {
    if (lengths.length === 0) {
      setFieldErrors({ lengthsCm: read.error ?? 'enter at least one length' });
      return;
    }
    const lengthCm = lengths.reduce((sum, one) => sum + one, 0) / lengths.length;
    const event = {
      id,
      kind: 'measured',
      day: day ?? '',
      note,
      lengthCm,
      lengthsCm: lengths,
      massG,
      confirmed,
    } as GroupEvent;
    const photoId = intent.also('photo');
    const done = await add({ params: { id: group.id }, body: event });
    if (done.error) {
      const problem = done.error as Problem;
      setFieldErrors(fieldErrorsOf(problem));
      if (!problem.errors) toast(problem.detail, { tone: 'error' });
      return;
    }
    const kept = photo && by === 'photo' ? await keep(id, photoId, photo) : null;
    // The measurement was read again before its picture was there.
    if (photo && by === 'photo') dispatch(api.util.invalidateTags(['life']));
    if (kept) toast(`The lengths are noted. ${kept}`, { tone: 'error' });
    else toast('They are noted; portions follow.');
    onClose();
  };
  return (
    <Sheet title={`Measure ${group.name}`} open onClose={onClose}>
      <Choice
        label="How"
        value={by}
        onChange={setBy}
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
            setFieldErrors({});
          }}
          placeholder="2.1 2.4 2.2"
          hint={`Nose to tail tip, in ${format.scale('length').unit}, with spaces between. Six say far more than one.`}
          fieldError={
            fieldErrors.lengthsCm ?? fieldErrors.lengthCm ?? (text.trim() ? read.error : undefined)
          }
        />
      ) : (
        <PhotoMeasure onDone={setPhoto} />
      )}
      {lengths.length > 0 && (by === 'numbers' || photo) ? (
        <Text role="status">{formatSample(lengths, group.size.total, format)}</Text>
      ) : null}
      <NumberField
        label="Mass of one, where you weighed them"
        unit="g"
        decimals={4}
        value={massG}
        onChange={setMassG}
        fieldError={fieldErrors.massG}
        hint="In water, in a cup on the scale: never dry."
      />
      <DateField label="On" value={day} onChange={setDay} fieldError={fieldErrors.day} />
      <UnlikelyLength asks={fieldErrors.confirmed} onKeep={() => void save(true)} />
      <Field label="Note" value={note} onChange={setNote} fieldError={fieldErrors.note} />
      <View style={{ alignItems: 'flex-start' }}>
        <Button variant="primary" label="Note it" onPress={() => save()} />
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
