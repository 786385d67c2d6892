import type { PlanEdit } from '@open-larder/contract';
import { mayNotFast, STAGES } from '@open-larder/core/fish';
import type { LifeKind } from '@open-larder/core/group';
import { longestSafeGap } from '@open-larder/core/ration';
import { groupOnDay, unsafeFasts } from '@open-larder/core/round';
import { fastEffects, type Judged } from '@open-larder/core/week';
import Trash from 'lucide-react-native/icons/trash';
import { useState } from 'react';
import { View } from 'react-native';
import { v7 as uuidv7 } from 'uuid';
import { useNow, useFormat } from '../store';
import { useColours } from '../theme';
import { Button, Card, Choice, Choices, IconButton, ListRow, Sheet, Text } from '../ui';
import { DateField } from '../ui/DateField';
import type { Board } from './useBoard';
import type { Names } from './useNames';

type Fast = PlanEdit['fasts'][number];
type When = Fast['when'];

const EVENT_WORDS: Record<LifeKind, string> = {
  arrived: 'more arrive',
  born: 'young are born',
  joined: 'others join them',
  counted: 'they are counted',
  died: 'one dies',
  sold: 'some are sold',
  given: 'some are given away',
  parted: 'some are set apart',
  moved: 'they are moved',
  measured: 'they are measured',
  staged: 'their stage changes',
};
/** What a fast may well wait for. */
const EVENTS = ['staged', 'born', 'moved', 'parted', 'measured'] as const;

interface Props {
  board: Board;
  names: Names;
  judged: Judged | null;
  onClose: () => void;
}

/** Days with nothing: of the tank or of a group, and what they do to the others. */
export function FastsSheet({ board, names, judged, onClose }: Props) {
  const format = useFormat();
  const colours = useColours();
  const { draft, task } = board;
  const formatWhen = (when: When): string => {
    switch (when.kind) {
      case 'weekly':
        return `every ${format.weekdays
          .filter(({ value }) => when.weekdays.includes(value))
          .map(({ spoken }) => spoken)
          .join(', ')}`;
      case 'dates':
        return `${format.day(when.from)} to ${format.day(when.to)}`;
      case 'stage':
        return `while «${when.stage}»`;
      case 'until':
        return `from ${format.day(when.from)} until ${EVENT_WORDS[when.event]}`;
    }
  };
  const effects = judged ? fastEffects(task, judged.outcome) : [];
  return (
    <Sheet title="Fasts" open onClose={onClose}>
      {draft.fasts.length > 0 ? (
        <Card>
          {draft.fasts.map((fast, index) => (
            <ListRow
              key={fast.id}
              first={index === 0}
              title={fast.groupId === null ? 'The whole tank' : names.group(fast.groupId)}
              detail={formatWhen(fast.when)}
              trail={
                <IconButton
                  label={`End this fast: ${formatWhen(fast.when)}`}
                  onPress={() =>
                    board.edit((before) => ({
                      ...before,
                      fasts: before.fasts.filter((one) => one.id !== fast.id),
                    }))
                  }
                >
                  <Trash size={20} color={colours.ink2} />
                </IconButton>
              }
            />
          ))}
        </Card>
      ) : null}
      {task.groups.map((group) => {
        const diet = draft.diets.find((one) => one.groupId === group.id);
        if (!diet) return null;
        const fry = mayNotFast(group.stage);
        const toleratesH = longestSafeGap({ ...group, tempC: task.tank.tempC }).value;
        return fry ? (
          <Text key={group.id}>
            {`${group.name} never fast: fry can go about ${Math.floor(toleratesH)} hours without food.`}
          </Text>
        ) : (
          <Choices
            key={group.id}
            label={`${group.name}, every week`}
            options={format.weekdays}
            value={diet.fastWeekdays}
            onChange={(fastWeekdays) =>
              board.edit((before) => ({
                ...before,
                diets: before.diets.map((one) =>
                  one.groupId === group.id && fastWeekdays.length < 7
                    ? { ...one, fastWeekdays }
                    : one,
                ),
              }))
            }
          />
        );
      })}
      <Unsafe board={board} names={names} />
      <NewFast board={board} names={names} />
      {effects.length > 0 ? (
        <View style={{ gap: 8 }}>
          <Text variant="subtitle">What these fasts do</Text>
          {effects.map(({ day, groupId, eats, mates }) => (
            <Text key={`${day} ${groupId}`}>
              {`${names.days([day])}: ${names.group(groupId)} still find ${Math.round(eats)} % of a day’s need${
                mates.length > 0
                  ? `; ${mates
                      .map(
                        (mate) =>
                          `${names.group(mate.groupId)} get ${Math.round(mate.gets)} % where they usually get ${Math.round(mate.usually)} %`,
                      )
                      .join('; ')}`
                  : ''
              }.`}
            </Text>
          ))}
        </View>
      ) : null}
    </Sheet>
  );
}

/** Fasts that last longer than a group tolerates, with the day on which they stop being safe. */
function Unsafe({ board: { task }, names }: Pick<Props, 'board' | 'names'>) {
  const format = useFormat();
  const { day } = useNow();
  const [tank] = task.house.tanks;
  if (!tank) return null;
  const groups = task.house.groups.map((group) => ({ ...group, onDay: groupOnDay(group, tank) }));
  return unsafeFasts(tank.plan, groups, day).map(({ groupId, unsafeOn, safeH }) => (
    <Text key={groupId} tone="due">
      {`${names.group(groupId)} can go about ${Math.floor(safeH / 24)} days without food: not safe from ${format.day(unsafeOn)} on.`}
    </Text>
  ));
}

function NewFast({ board, names }: { board: Board; names: Names }) {
  const format = useFormat();
  const now = useNow();
  const [groupId, setGroup] = useState('');
  const [kind, setKind] = useState<When['kind']>('dates');
  const [from, setFrom] = useState(now.day);
  const [to, setTo] = useState(now.day);
  const [weekdays, setWeekdays] = useState<number[]>([7]);
  const [stage, setStage] = useState<(typeof STAGES)[number]>('resting');
  const [event, setEvent] = useState<(typeof EVENTS)[number]>('staged');
  const { groups } = board.task;
  const fry = groups.find((group) => group.id === groupId && mayNotFast(group.stage));
  const wrong =
    kind === 'dates' && from > to
      ? 'The fast ends before it begins.'
      : kind === 'weekly' && (weekdays.length === 0 || weekdays.length === 7)
        ? 'Choose one to six days: one must be left to eat.'
        : fry
          ? `${fry.name} are fry and never fast.`
          : null;
  const when = (): When =>
    kind === 'dates'
      ? { kind, from, to }
      : kind === 'stage'
        ? { kind, stage }
        : kind === 'until'
          ? { kind, from, event }
          : { kind: 'weekly', weekdays };
  return (
    <Card>
      <View style={{ padding: 12, gap: 10 }}>
        <Text variant="subtitle">Another fast</Text>
        <Choice
          label="Who"
          value={groupId}
          options={[
            { value: '', label: 'the whole tank' },
            ...groups.map((group) => ({ value: group.id, label: names.group(group.id) })),
          ]}
          onChange={setGroup}
        />
        <Choice
          label="When"
          value={kind}
          options={[
            { value: 'dates', label: 'on dates' },
            { value: 'weekly', label: 'every week' },
            { value: 'stage', label: 'while a stage lasts' },
            { value: 'until', label: 'until something happens' },
          ]}
          onChange={(next) => setKind(next as When['kind'])}
        />
        {kind === 'dates' || kind === 'until' ? (
          <DateField label="From" value={from} onChange={(day) => setFrom(day ?? now.day)} />
        ) : null}
        {kind === 'dates' ? (
          <DateField label="To" value={to} onChange={(day) => setTo(day ?? from)} />
        ) : null}
        {kind === 'weekly' ? (
          <Choices
            label="Weekdays"
            options={format.weekdays}
            value={weekdays}
            onChange={setWeekdays}
          />
        ) : null}
        {kind === 'stage' ? (
          <Choice
            label="Stage"
            value={stage}
            options={STAGES.filter((one) => !mayNotFast(one)).map((one) => ({
              value: one,
              label: one,
            }))}
            onChange={setStage}
          />
        ) : null}
        {kind === 'until' ? (
          <Choice
            label="Until"
            value={event}
            options={EVENTS.map((one) => ({ value: one, label: EVENT_WORDS[one] }))}
            onChange={setEvent}
          />
        ) : null}
        {wrong ? <Text tone="due">{wrong}</Text> : null}
        <View style={{ alignItems: 'flex-start' }}>
          <Button
            label="Add this fast"
            disabled={wrong !== null}
            onPress={() =>
              board.edit((before) => ({
                ...before,
                fasts: [
                  ...before.fasts,
                  { id: uuidv7(), groupId: groupId === '' ? null : groupId, when: when() },
                ],
              }))
            }
          />
        </View>
      </View>
    </Card>
  );
}
