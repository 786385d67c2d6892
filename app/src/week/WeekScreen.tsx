import { addDays } from '@open-larder/core/round';
import { moveOn } from '@open-larder/core/week';
import { useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { v7 as uuidv7 } from 'uuid';
import { useHouse, useNow, useFormat, type AppData } from '../store';
import { formatUnits } from '@open-larder/say';
import { useWide } from '../theme';
import { recall, remember } from '../store/memory';
import { ScreenTools } from '../shell';
import {
  Button,
  Choice,
  lowerFirst,
  useToast,
  Empty,
  Screen,
  Skeleton,
  Tabs,
  Text,
  Waiting,
} from '../ui';
import { Picker } from '../ui/Picker';
import { AimsCard } from './AimsCard';
import { BalanceSheet } from './BalanceSheet';
import { CellSheet } from './CellSheet';
import { ChoicesSheet } from './ChoicesSheet';
import { CopySheet } from './CopySheet';
import { boardOf, isEmpty } from './columns';
import { withFood, withServings } from './draft';
import { FastsSheet } from './FastsSheet';
import { PeriodsSheet } from './PeriodsSheet';
import { FoodTray } from './FoodTray';
import { RulesSheet } from './RulesSheet';
import { StartSheet } from './StartSheet';
import { DayPlan } from './DayPlan';
import { useBoard, type Board } from './useBoard';
import { useNames } from './useNames';
import { useOutcome } from './useOutcome';
import { usePrintWeek } from './usePrintWeek';
import type { Place } from './BoardCell';
import { WeekBoard } from './WeekBoard';
import { WeekShares } from './WeekShares';
import { Toolbar, StaleBoard, type Open } from './Toolbar';

/** Tanks past which a row of tabs is slower than a search. */
const MANY = 16;

/** The plan of one tank: what is served when, what reaches each group, and ways to do better. */
export function WeekScreen({ tankId }: { tankId?: string }) {
  const router = useRouter();
  const loaded = useHouse();
  const [chosen, setChosen] = useState<string | null>(tankId ?? null);
  const tanks = loaded.data?.tanks.filter((tank) => !tank.archived) ?? [];
  const tank = tanks.find((one) => one.id === chosen) ?? tanks[0];
  if (loaded.problem || !loaded.data || !tank) {
    return (
      <Screen title="Week" tools={<ScreenTools />}>
        {!loaded.data ? (
          <Waiting of={loaded} rows={3} height={140} />
        ) : (
          <Empty
            title="No week to show yet"
            text="Say what you have in a few lines; the week of each tank appears here."
            action={
              <Button
                least="keeper"
                variant="primary"
                label="Say what you have"
                onPress={() => router.push('/begin')}
              />
            }
          />
        )}
      </Screen>
    );
  }
  const pick =
    tanks.length > MANY ? (
      <Picker
        label="Tank"
        search
        value={tank.id}
        onChange={setChosen}
        picks={tanks.map((one) => ({ value: one.id, title: `${one.walkOrder} ${one.name}` }))}
      />
    ) : (
      <Tabs
        label="Tanks"
        value={tank.id}
        onChange={setChosen}
        tabs={tanks.map((one) => ({ value: one.id, label: `${one.walkOrder} ${one.name}` }))}
      />
    );
  return <TankWeek key={tank.id} data={loaded.data} tankId={tank.id} pick={pick} />;
}

function TankWeek({
  data,
  tankId,
  pick,
}: {
  data: AppData;
  tankId: string;
  pick: React.ReactNode;
}) {
  const router = useRouter();
  const format = useFormat();
  const now = useNow();
  const wide = useWide();
  const print = usePrintWeek();
  const toast = useToast();
  const board = useBoard(data, tankId, now.day);
  const names = useNames(data, board);
  const outcome = useOutcome(board.task);
  const [open, setOpen] = useState<Open>(null);
  const [copies, setCopies] = useState(false);
  /** On a phone the foods take the board's room: they are shown when they are wanted. */
  const [shelf, setShelf] = useState(false);
  /** A phone has room for a day: the week is an overview. */
  const [view, setView] = useState(() => recall<'day' | 'week'>(VIEW) ?? 'day');
  const [held, setHeld] = useState<string | null>(null);
  const [forId, setFor] = useState('');
  useKeys(board);
  const { task } = board;
  const { columns, rows } = boardOf(task, format.weekdays[0]?.value ?? 1);
  const { tank } = board.rows;
  const close = () => setOpen(null);
  const unitsOn = (servingId: string, day: number) =>
    rows
      .flatMap(({ cells }) => cells[columns.findIndex((one) => one.day === day)] ?? [])
      .find(({ serving }) => serving.id === servingId)?.portion.units ?? 0;
  const move = (groupId: string, servingId: string, from: Place, to: Place) => {
    const servings = board.draft.diets.find((one) => one.groupId === groupId)?.servings ?? [];
    const line = servings.find((one) => one.id === servingId);
    if (!line) return;
    const moved = moveOn(servings, servingId, from.day, to, unitsOn, uuidv7);
    // A copy leaves what it was taken from: put it back where it stood.
    const after = copies ? keepAlso(moved.servings, line, from.day) : moved.servings;
    board.edit((draft) => withServings(draft, groupId, () => after));
    const food = data.foods.find(({ id }) => id === line.foodId);
    if (moved.joinedUnits === null || !food) return;
    const dayName = (day: number) =>
      format.day(columns.find((one) => one.day === day)?.date ?? now.day);
    toast(
      `${formatUnits(moved.joinedUnits, food.unit)} of ${lowerFirst(food.name)} on ${dayName(to.day)} now: both together.${copies ? '' : ` ${dayName(from.day)} has none.`}`,
      { undo: board.undoLast },
    );
  };
  const forGroup = task.groups.find((one) => one.id === forId) ?? task.groups[0];
  const add = (foodId: string, { day, momentId }: Place) => {
    if (!forGroup) return;
    board.edit((draft) => withFood(draft, forGroup, { foodId, momentId, days: [day] }, uuidv7));
  };
  // What the tank gets already comes first: it is what is put in most.
  const inPlan = new Set(
    board.draft.diets.flatMap(({ servings }) => servings.map((one) => one.foodId)),
  );
  const trayFoods = data.foods
    .filter((food) => !food.archived)
    .sort((a, b) => Number(inPlan.has(b.id)) - Number(inPlan.has(a.id)));
  const place = open !== null && typeof open === 'object' ? open : null;
  const column = place ? columns.find((one) => one.day === place.day) : undefined;
  const cell = place && column ? servingsAt(rows, columns.indexOf(column), place) : [];
  const shares = outcome.got ? (
    <WeekShares task={task} got={outcome.got} nearly={outcome.running} />
  ) : outcome.fieldError ? (
    <Text tone="due">{outcome.fieldError}</Text>
  ) : (
    <Skeleton rows={task.groups.length} height={44} />
  );
  const aims = outcome.judged ? <AimsCard aims={outcome.judged.aims} names={names} /> : null;
  return (
    <Screen
      title="Week"
      tools={<ScreenTools />}
      detail={`${tank.name}, ${board.draft.cycle.days === 7 ? `from ${format.day(columns[0]?.date ?? now.day)}` : `a cycle of ${board.draft.cycle.days} days`}`}
      actions={
        <View style={{ flexDirection: 'row', gap: 8, flexWrap: 'wrap' }}>
          <Button label="Whole house" onPress={() => router.push('/week/house')} />
          <Button label="Dry run" onPress={() => router.push(`/week/dry-run?tank=${tankId}`)} />
          <Button label="Broods" onPress={() => router.push('/broods')} />
        </View>
      }
      asideWidth={344}
      aside={
        task.groups.length === 0 ? null : (
          <>
            {shares}
            {aims}
          </>
        )
      }
    >
      {pick}
      <StaleBoard board={board} />
      <Toolbar board={board} onOpen={setOpen} onPrint={() => void print(tankId)}>
        {wide || view === 'day' ? null : (
          <Button
            label={shelf ? 'Hide the foods' : 'Foods'}
            onPress={() => {
              setShelf(!shelf);
              setHeld(null);
            }}
          />
        )}
      </Toolbar>
      {task.groups.length === 0 ? (
        <Empty
          title="No fish in this tank"
          text="Put a group of fish in it; then its plan is made here."
          action={<Button label="Open the tank" onPress={() => router.push(`/tanks/${tankId}`)} />}
        />
      ) : (
        <>
          {isEmpty(task) ? (
            <Empty
              title="Nothing planned for this tank"
              text="Begin with a plan that suits its fish, or tap a cell of the board and put a food in."
              action={
                <Button
                  least="keeper"
                  variant="primary"
                  label="A plan to begin with"
                  onPress={() => setOpen('start')}
                />
              }
            />
          ) : null}
          {wide ? null : (
            <Choice
              label="The plan"
              value={view}
              options={[
                { value: 'day', label: 'day by day' },
                { value: 'week', label: 'the whole week' },
              ]}
              onChange={(chosen) => {
                setView(chosen);
                remember(VIEW, chosen);
              }}
            />
          )}
          {wide || view === 'week' ? (
            <WeekBoard
              columns={columns}
              rows={rows}
              data={data}
              today={now.day}
              groups={task.groups}
              onOpen={(at) => (held === null ? setOpen(at) : add(held, at))}
              onMove={move}
              onAdd={add}
              tray={
                wide || shelf ? (
                  <FoodTray
                    foods={trayFoods}
                    groups={task.groups}
                    groupId={forGroup?.id ?? ''}
                    onGroup={setFor}
                    held={held}
                    onHold={setHeld}
                  />
                ) : null
              }
            />
          ) : (
            <DayPlan
              columns={columns}
              rows={rows}
              data={data}
              today={now.day}
              groups={task.groups}
              onOpen={setOpen}
            />
          )}
          {wide ? null : (
            <>
              {shares}
              {aims}
            </>
          )}
          {wide || view === 'week' ? (
            <Choice
              label="Dragging a serving"
              value={copies ? 'copies' : 'moves'}
              options={[
                { value: 'moves', label: 'moves it' },
                { value: 'copies', label: 'copies it' },
              ]}
              onChange={(value) => setCopies(value === 'copies')}
              hint="Hold and drag it with a thumb; with the keyboard, M takes it up and sets it down."
            />
          ) : null}
        </>
      )}
      {place && column ? (
        <CellSheet
          board={board}
          data={data}
          place={place}
          date={column.date}
          servings={cell}
          report={reportOf(outcome, column.date, board)}
          onClose={close}
        />
      ) : null}
      {open === 'balance' ? (
        <BalanceSheet board={board} data={data} names={names} onClose={close} />
      ) : null}
      {open === 'choices' ? <ChoicesSheet board={board} names={names} onClose={close} /> : null}
      {open === 'fasts' ? (
        <FastsSheet board={board} names={names} judged={outcome.judged} onClose={close} />
      ) : null}
      {open === 'periods' ? <PeriodsSheet board={board} data={data} onClose={close} /> : null}
      {open === 'rules' ? <RulesSheet board={board} data={data} onClose={close} /> : null}
      {open === 'start' ? (
        <StartSheet board={board} data={data} names={names} onClose={close} />
      ) : null}
      {open === 'copy' ? <CopySheet board={board} onClose={close} /> : null}
    </Screen>
  );
}

/** How a phone shows the plan: as it was looked at last. */
const VIEW = 'week.view';

type Rows = ReturnType<typeof boardOf>['rows'];

const servingsAt = (rows: Rows, index: number, { momentId }: Place) =>
  rows.find((row) => row.momentId === momentId)?.cells[index] ?? [];

/** A serving also on the day that a copy of it was taken from. */
function keepAlso(
  servings: readonly { id: string; days: readonly number[] }[],
  line: { id: string },
  day: number,
) {
  const there = servings.some((one) => one.id === line.id);
  return there
    ? servings.map((one) =>
        one.id === line.id
          ? { ...one, days: [...new Set([...one.days, day])].sort((a, b) => a - b) }
          : one,
      )
    : [...servings, { ...line, days: [day] }];
}

/** What the simulation says of each serving of a day, by serving. */
function reportOf(
  { judged, running }: ReturnType<typeof useOutcome>,
  date: string,
  { task }: Board,
): ReadonlyMap<string, { ownShare: number; clearedMin: number | null }> {
  const report = new Map<string, { ownShare: number; clearedMin: number | null }>();
  if (!judged || running) return report;
  const day = judged.outcome.days.find((one) => one.day === date || addDays(one.day, -7) === date);
  day?.drops.forEach((drop, at) => {
    const own = task.groups.findIndex((group) => group.id === drop.groupId);
    report.set(drop.key, {
      ownShare: day.reaches[at]?.[own] ?? 0,
      clearedMin: day.clearedMin[at] ?? null,
    });
  });
  return report;
}

/** Ctrl+Z and Ctrl+Y, where nothing is being typed. */
function useKeys({ undo, redo }: Pick<Board, 'undo' | 'redo'>) {
  useEffect(() => {
    if (typeof document === 'undefined') return undefined;
    const press = (event: KeyboardEvent) => {
      const typing = (event.target as HTMLElement | null)?.matches?.('input, textarea');
      if (typing || !(event.ctrlKey || event.metaKey)) return;
      const key = event.key.toLowerCase();
      const act = key === 'y' || (key === 'z' && event.shiftKey) ? redo : key === 'z' ? undo : null;
      if (!act) return;
      event.preventDefault();
      act();
    };
    document.addEventListener('keydown', press);
    return () => document.removeEventListener('keydown', press);
  }, [undo, redo]);
}
