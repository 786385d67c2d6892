import type { Group, GroupEvent, Problem } from '@open-larder/contract';
import { sampleOf } from '@open-larder/core/growth';
import { sayNumber } from '@open-larder/core/units';
import { useState } from 'react';
import { View } from 'react-native';
import { api, useAppDispatch, useNow, useWords, type Words } from '../store';
import { call } from '../store/call';
import {
  Button,
  Choice,
  DateField,
  Field,
  faultsOf,
  NumberField,
  Sheet,
  Text,
  useSay,
  type Faults,
} from '../ui';
import { UnlikelyLength } from '../group/UnlikelyLength';
import { PhotoMeasure, type InPhoto } from './PhotoMeasure';
import { readLengths } from './readLengths';
import { sayPercent } from './words';
import { formIntent } from '../store/intent';

/** A few fish measured: number by number, or in a picture beside a ruler. */
export function MeasureSheet({ group, onClose }: { group: Group; onClose: () => void }) {
  const say = useSay();
  const dispatch = useAppDispatch();
  const now = useNow();
  const words = useWords();
  const [add] = api.useAddGroupEventMutation();
  const [by, setBy] = useState<'numbers' | 'photo'>('numbers');
  const [text, setText] = useState('');
  const [photo, setPhoto] = useState<InPhoto | null>(null);
  const [massG, setMassG] = useState<number | null>(null);
  const [day, setDay] = useState<string | null>(now.day);
  const [note, setNote] = useState('');
  const [faults, setFaults] = useState<Faults>({});
  const intent = formIntent('measured', group.id);
  const { id } = intent;
  const read = readLengths(text, words);
  const lengths = photo && by === 'photo' ? photo.lengthsCm : (read.lengths ?? []);
  const save = async (confirmed = false) => {
    if (lengths.length === 0) {
      setFaults({ lengthsCm: read.fault ?? 'enter at least one length' });
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
      setFaults(faultsOf(problem));
      if (!problem.errors) say(problem.detail, { tone: 'fault' });
      return;
    }
    const kept = photo && by === 'photo' ? await keep(id, photoId, photo) : null;
    // The measurement was read again before its picture was there.
    if (photo && by === 'photo') dispatch(api.util.invalidateTags(['life']));
    if (kept) say(`The lengths are noted. ${kept}`, { tone: 'fault' });
    else say('They are noted; portions follow.');
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
            setFaults({});
          }}
          placeholder="2.1 2.4 2.2"
          hint={`Nose to tail tip, in ${words.scale('length').unit}, with spaces between. Six say far more than one.`}
          fault={faults.lengthsCm ?? faults.lengthCm ?? (text.trim() ? read.fault : undefined)}
        />
      ) : (
        <PhotoMeasure onDone={setPhoto} />
      )}
      {lengths.length > 0 && (by === 'numbers' || photo) ? (
        <Text role="status">{saySample(lengths, group.size.total, words)}</Text>
      ) : null}
      <NumberField
        label="Mass of one, where you weighed them"
        unit="g"
        decimals={4}
        value={massG}
        onChange={setMassG}
        fault={faults.massG}
        hint="In water, in a cup on the scale: never dry."
      />
      <DateField label="On" value={day} onChange={setDay} fault={faults.day} />
      <UnlikelyLength asks={faults.confirmed} onKeep={() => void save(true)} />
      <Field label="Note" value={note} onChange={setNote} fault={faults.note} />
      <View style={{ alignItems: 'flex-start' }}>
        <Button look="primary" label="Note it" onPress={() => save()} />
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

function saySample(lengths: readonly number[], there: number, words: Words): string {
  if (lengths.some((one) => !(one > 0))) return 'A length is more than nothing.';
  const { n, mean, low, high, cv, again } = sampleOf(lengths, Math.max(1, there));
  if (again) {
    return `More lengths than fish: some were measured twice. Mean ${words.say('length', mean)}.`;
  }
  if (low === null || high === null) {
    return `One fish, ${words.say('length', mean)}: nothing says how the others are.`;
  }
  const scale = words.scale('length');
  return `${n} fish: mean ${words.say('length', mean)}, likely ${sayNumber(scale.fromBase(low), 2)} to ${words.say('length', high)}; they differ by ${sayPercent(cv!)}.`;
}
