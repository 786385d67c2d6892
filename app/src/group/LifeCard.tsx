import type { Group, LifeEventRow, Problem } from '@open-larder/contract';
import { stateOn, type LifeEvent } from '@open-larder/core/group';
import { useState } from 'react';
import { View } from 'react-native';
import { usePrintSummary } from '../table/usePrintSummary';
import { api, useNow, useFormat, type AppData, latest } from '../store';
import { Button, ErrorLine, Sheet, Text, useToast, Waiting } from '../ui';
import { DateField } from '../ui/DateField';
import { History } from '../ui/History';
import { formatEvent, formatSize } from './labels';
import { stampFor } from '../store/intent';
import { EventSheet } from './EventSheet';

/** What happened to a group, newest first; each can be taken back or corrected, never erased. */
export function LifeCard({ group, data }: { group: Group; data: AppData }) {
  const format = useFormat();
  const { data: events, error, refetch } = latest(api.useLifeQuery(group.id));
  const [chosen, setChosen] = useState<LifeEventRow | null>(null);
  const [correcting, setCorrecting] = useState<LifeEventRow | null>(null);
  const names = namesIn(data);
  const print = usePrintSummary();
  if (!events) return <Waiting of={{ error, refetch }} rows={3} height={52} />;
  return (
    <View style={{ gap: 8 }}>
      <History
        events={events.map((event) => {
          const { title, detail } = formatEvent(event, names, format);
          const day = format.day(event.day);
          return {
            id: event.id,
            title,
            detail: [day, detail, event.withdrawn ? 'taken back' : null],
            day,
            onPress: event.withdrawn ? undefined : () => setChosen(event),
          };
        })}
      />
      <View style={{ alignItems: 'flex-start' }}>
        <Button variant="bare" label="Print a summary" onPress={() => print('group', group.id)} />
      </View>
      <LookBack events={events} data={data} />
      {chosen ? (
        <EventActs
          event={chosen}
          title={formatEvent(chosen, names, format).title}
          onClose={() => setChosen(null)}
          onCorrect={() => {
            setCorrecting(chosen);
            setChosen(null);
          }}
        />
      ) : null}
      {correcting && correcting.kind !== 'joined' && correcting.kind !== 'parted' ? (
        <EventSheet
          kind={correcting.kind}
          group={group}
          data={data}
          replaces={correcting}
          onClose={() => setCorrecting(null)}
        />
      ) : null}
    </View>
  );
}

function namesIn(data: AppData) {
  return {
    tank: (id: string) => data.tanks.find((tank) => tank.id === id)?.name ?? 'a tank',
    group: (id: string) => data.groups.find((group) => group.id === id)?.name ?? 'another group',
  };
}

interface ActsProps {
  event: LifeEventRow;
  title: string;
  onClose: () => void;
  onCorrect: () => void;
}

function EventActs({ event, title, onClose, onCorrect }: ActsProps) {
  const toast = useToast();
  const format = useFormat();
  const [withdraw] = api.useWithdrawGroupEventMutation();
  const [fieldError, setFieldError] = useState<string | null>(null);
  const paired = event.kind === 'joined' || event.kind === 'parted';
  const takeBack = async () => {
    const body = { id: stampFor('undo', event.id).id, replacement: null };
    const done = await withdraw({ params: { id: event.id }, body });
    if (done.error) {
      setFieldError((done.error as Problem).detail);
      return;
    }
    toast(`${title}: taken back.`);
    onClose();
  };
  return (
    <Sheet title={title} open onClose={onClose}>
      <Text tone="quiet">
        {format.day(event.day)}
        {event.note ? ` · ${event.note}` : ''}
      </Text>
      <Text>
        {paired
          ? 'Taking it back brings the fish home from the other group too.'
          : 'Nothing is erased: what was wrong stays in the list, marked as taken back.'}
      </Text>
      {fieldError ? <ErrorLine fieldError={fieldError} /> : null}
      {paired ? null : (
        <Button least="keeper" variant="primary" label="Correct it" onPress={onCorrect} />
      )}
      <Button least="keeper" label="Take it back" onPress={() => takeBack()} />
    </Sheet>
  );
}

/** The group as it was at the end of any past day. */
function LookBack({ events, data }: { events: readonly LifeEventRow[]; data: AppData }) {
  const now = useNow();
  const format = useFormat();
  const [day, setDay] = useState<string | null>(null);
  const held = events.filter((event) => !event.withdrawn).reverse() as unknown as LifeEvent[];
  const state = day === null || day > now.day ? null : stateOn(held, day);
  return (
    <View style={{ gap: 8 }}>
      <DateField label="As they were on" value={day} onChange={setDay} />
      {day === null ? null : (
        <Text role="status">
          {state
            ? `${formatSize(state.size)}, ${state.stage}, in ${namesIn(data).tank(state.tankId)}${
                state.lengthCm === null
                  ? ''
                  : `, last measured at ${format.quantity('length', state.lengthCm)}`
              }.`
            : 'They were not here on that day.'}
        </Text>
      )}
    </View>
  );
}
