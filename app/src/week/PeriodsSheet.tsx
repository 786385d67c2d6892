import type { PlanEdit } from '@open-larder/contract';
import { periodOn } from '@open-larder/core/round';
import Trash from 'lucide-react-native/icons/trash';
import { useState } from 'react';
import { View } from 'react-native';
import { v7 as uuidv7 } from 'uuid';
import { useFormat, useNow, type AppData, type Format } from '../store';
import { useColours } from '../theme';
import { Button, Card, Choice, Choices, Field, IconButton, ListRow, Sheet, Text } from '../ui';
import { DateField } from '../ui/DateField';
import { NumberField } from '../ui/NumberField';
import type { Board } from './useBoard';

type Period = NonNullable<PlanEdit['periods']>[number];

/** How much of a usual portion, in the steps that keepers speak in. */
const SHARES = [
  { value: 0, label: 'nothing' },
  { value: 0.5, label: 'half' },
  { value: 0.75, label: 'three quarters' },
  { value: 1, label: 'as usual' },
  { value: 1.33, label: 'a third more' },
];
const EVERY = [
  { value: 1, label: 'every day' },
  { value: 2, label: 'every other day' },
  { value: 3, label: 'every third day' },
];

interface Props {
  board: Board;
  data: AppData;
  onClose: () => void;
}

/** Parts of the year in which the tank is fed otherwise: by date, or as long as the water is cold. */
export function PeriodsSheet({ board, data, onClose }: Props) {
  const format = useFormat();
  const colours = useColours();
  const now = useNow();
  const { draft, task } = board;
  const periods = draft.periods ?? [];
  const { tempC } = task.tank;
  const holding = periodOn(periods, { stage: 'adult' }, tempC, now.day);
  const set = (next: Period[]) =>
    board.edit((before) => ({ ...before, periods: next.length === 0 ? null : next }));
  return (
    <Sheet title="Seasons" open onClose={onClose}>
      <Text tone="quiet">
        A winter rest, a lean month, the weeks before spawning: the plan stays, and less or more of
        it is given. The first that holds counts; of those by temperature, the coldest. Fry are fed
        on.
      </Text>
      {periods.length > 0 ? (
        <Card label="Seasons of this tank">
          {periods.map((period, index) => (
            <ListRow
              key={period.id}
              first={index === 0}
              title={`${period.name}${period.id === holding?.id ? ' · now' : ''}`}
              detail={formatPeriod(period, format, data)}
              trail={
                <IconButton
                  label={`Remove ${period.name}`}
                  onPress={() => set(periods.filter(({ id }) => id !== period.id))}
                >
                  <Trash size={20} color={colours.ink2} />
                </IconButton>
              }
            />
          ))}
        </Card>
      ) : null}
      <AddPeriod
        board={board}
        data={data}
        onAdd={(period) => set([...periods, { ...period, id: uuidv7() }])}
      />
      <Text variant="small" tone="quiet">
        Fish that rest in the cold live on their reserves: feed them up before, and begin again
        small when the water warms. Kinds of warm water do not rest.
      </Text>
    </Sheet>
  );
}

function AddPeriod({
  board,
  data,
  onAdd,
}: {
  board: Board;
  data: AppData;
  onAdd: (period: Omit<Period, 'id'>) => void;
}) {
  const format = useFormat();
  const now = useNow();
  const warmth = format.scale('temperature');
  const [name, setName] = useState('');
  const [kind, setKind] = useState<'dates' | 'below'>('dates');
  const [from, setFrom] = useState<string | null>(now.day);
  const [to, setTo] = useState<string | null>(now.day);
  const [tempC, setTempC] = useState<number | null>(10);
  const [share, setShare] = useState(0.5);
  const [everyDays, setEveryDays] = useState(1);
  const [without, setWithout] = useState<string[]>([]);
  const used = new Set(
    board.draft.diets.flatMap(({ servings }) => servings.map(({ foodId }) => foodId)),
  );
  const foods = data.foods.filter(({ id }) => used.has(id));
  const complete = kind === 'below' ? tempC !== null : from !== null && to !== null;
  const add = () => {
    onAdd({
      name: name.trim(),
      when:
        kind === 'below'
          ? { kind, tempC: tempC! }
          : { kind, from: from!.slice(5), to: to!.slice(5) },
      share,
      everyDays,
      without,
    });
    setName('');
    setWithout([]);
  };
  return (
    <View style={{ gap: 12 }}>
      <Text variant="subtitle">Add a season</Text>
      <Field label="Name" value={name} onChange={setName} placeholder="Winter rest" />
      <Choice
        label="It holds"
        value={kind}
        onChange={setKind}
        options={[
          { value: 'dates', label: 'between two days, every year' },
          { value: 'below', label: 'while the water is colder than' },
        ]}
      />
      {kind === 'dates' ? (
        <>
          <DateField label="From" value={from} onChange={setFrom} />
          <DateField label="To" value={to} onChange={setTo} />
        </>
      ) : (
        <NumberField
          label="Colder than"
          unit={warmth.unit}
          scale={warmth}
          decimals={1}
          value={tempC}
          onChange={setTempC}
          hint="By the temperature that was read last at this tank."
        />
      )}
      <Choice label="They get" value={share} options={SHARES} onChange={setShare} />
      {share > 0 ? (
        <Choice label="Fed" value={everyDays} options={EVERY} onChange={setEveryDays} />
      ) : null}
      {share > 0 && foods.length > 1 ? (
        <Choices
          label="Foods that are left out"
          value={without}
          options={foods.map(({ id, name: label }) => ({ value: id, label }))}
          onChange={setWithout}
        />
      ) : null}
      <View style={{ alignItems: 'flex-start' }}>
        <Button label="Add it" disabled={name.trim() === '' || !complete} onPress={add} />
      </View>
    </View>
  );
}

/** «1 Nov to 28 Feb · half, every other day · without live Moina» */
export function formatPeriod(
  { when, share, everyDays, without }: Period,
  format: Pick<Format, 'day' | 'quantity'>,
  data: Pick<AppData, 'foods'>,
): string {
  // Any year will do: the weekday is of no matter.
  const day = (of: string) => format.day(`2024-${of}`).replace(/^\w+ /, '');
  const names = without.flatMap((id) => data.foods.find((food) => food.id === id)?.name ?? []);
  return [
    when.kind === 'below'
      ? `colder than ${format.quantity('temperature', when.tempC)}`
      : `${day(when.from)} to ${day(when.to)}`,
    [
      SHARES.find(({ value }) => value === share)?.label ?? `${Math.round(share * 100)} %`,
      ...(share > 0 && everyDays > 1
        ? [EVERY.find(({ value }) => value === everyDays)?.label ?? `every ${everyDays} days`]
        : []),
    ].join(', '),
    ...(names.length > 0 ? [`without ${names.join(', ')}`] : []),
  ].join(' · ');
}
