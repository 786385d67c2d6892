import {
  DndContext,
  DragOverlay,
  KeyboardCode,
  KeyboardSensor,
  MouseSensor,
  TouchSensor,
  pointerWithin,
  rectIntersection,
  useSensor,
  useSensors,
  type Active,
  type Announcements,
  type CollisionDetection,
  type DragEndEvent,
  type KeyboardCoordinateGetter,
  type Over,
} from '@dnd-kit/core';
import { useRef, useState, type ReactNode } from 'react';
import { ScrollView, View } from 'react-native';
import { useFormat, type AppData } from '../store';
import { themed, useWide } from '../theme';
import { Card, Text } from '../ui';
import type { BoardRow, Column } from './columns';
import { FoodLine, type FromTray } from './FoodTray';
import { overAll, HOW, BoardCell, type Place, type Taken } from './BoardCell';

interface Props {
  columns: readonly Column[];
  rows: readonly BoardRow[];
  data: AppData;
  today: string;
  /** Groups of the tank: their names are said where there is more than one. */
  groups: readonly { id: string; name: string }[];
  onOpen: (place: Place) => void;
  onMove: (groupId: string, servingId: string, from: Place, to: Place) => void;
  /** A food of the shelf was dropped on a cell. */
  onAdd: (foodId: string, to: Place) => void;
  /** What stands above the board and can be dragged onto it. */
  tray: ReactNode;
}

/**
 * Days across, moments down. A serving is dragged with the mouse or held and dragged with a thumb;
 * with the keyboard M takes it up, arrows move it, M sets it down.
 */
export function WeekBoard({
  columns,
  rows,
  data,
  today,
  groups,
  onOpen,
  onMove,
  onAdd,
  tray,
}: Props) {
  const styles = useStyles();
  const format = useFormat();
  const wide = useWide();
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 6 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 300, tolerance: 8 } }),
    useSensor(KeyboardSensor, {
      keyboardCodes: { start: ['KeyM'], end: ['KeyM'], cancel: [KeyboardCode.Esc] },
      coordinateGetter: cellByCell,
    }),
  );
  const [dragged, setDragged] = useState<string | null>(null);
  const drop = ({ active, over }: DragEndEvent) => {
    setDragged(null);
    const taken = active.data.current as Taken | FromTray | undefined;
    const to = over?.data.current as Place | undefined;
    if (!taken || !to) return;
    if ('newFoodId' in taken) {
      onAdd(taken.newFoodId, to);
      return;
    }
    if (to.day === taken.day && to.momentId === taken.momentId) return;
    onMove(taken.groupId, taken.servingId, taken, to);
  };
  const food = data.foods.find((one) => one.id === dragged);
  const announcements = announcing({
    moved: (taken) =>
      'newFoodId' in taken
        ? (data.foods.find(({ id }) => id === taken.newFoodId)?.name ?? 'A food')
        : servingName(rows, taken),
    place: ({ day, momentId }) =>
      `${rows.find((row) => row.momentId === momentId)?.name ?? 'a moment'}, ${format.day(columns.find((one) => one.day === day)?.date ?? today)}`,
  });
  const fits = wide && columns.length <= 7;
  const column = fits ? styles.columnWide : styles.column;
  const several = groups.length > 1;
  const scroll = useRef<ScrollView>(null);
  // Today stands first in sight beside the moments.
  const toToday = Math.max(0, columns.findIndex(({ date }) => date === today) * COLUMN);
  const board = (
    <View style={styles.board} role="table" aria-label="The plan, days across and moments down">
      <View style={styles.line} role="row">
        <View style={styles.momentHead} />
        {columns.map(({ day, date, fasting }) => (
          <View
            key={day}
            style={[column, styles.dayHead, date === today && styles.today]}
            role="columnheader"
          >
            <Text variant="strong">
              {columns.length === 7 ? format.day(date).split(' ')[0] : `Day ${day}`}
            </Text>
            <Text variant="small" tone="quiet">
              {date === today ? 'today' : format.day(date).split(' ').slice(1).join(' ')}
            </Text>
            {fasting.length > 0 ? (
              <Text variant="small" tone="due">
                {fasting.length === groups.length
                  ? 'all fast'
                  : `${groups
                      .filter(({ id }) => fasting.includes(id))
                      .map(({ name }) => name)
                      .join(', ')} fast`}
              </Text>
            ) : null}
          </View>
        ))}
      </View>
      {rows.map((row) => (
        <View key={row.momentId} style={[styles.line, styles.ruled]} role="row">
          <View style={styles.momentHead} role="rowheader">
            <Text variant="strong">{format.time(row.minutes)}</Text>
            <Text variant="small" tone="quiet">
              {row.name}
            </Text>
          </View>
          {columns.map(({ day, date }, index) => (
            <BoardCell
              key={day}
              style={[column, styles.ruledLeft, date === today && styles.today]}
              place={{ day, momentId: row.momentId }}
              label={`${row.name}, ${format.day(date)}`}
              servings={row.cells[index] ?? []}
              data={data}
              several={several}
              onOpen={onOpen}
            />
          ))}
        </View>
      ))}
    </View>
  );
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={underHand}
      onDragStart={({ active }) => {
        const taken = active.data.current as Partial<FromTray> | undefined;
        setDragged(taken?.newFoodId ?? null);
      }}
      onDragEnd={drop}
      onDragCancel={() => setDragged(null)}
      accessibility={{ screenReaderInstructions: HOW, announcements }}
    >
      {wide ? null : tray}
      <Card>
        {fits ? (
          board
        ) : (
          <ScrollView
            ref={scroll}
            horizontal
            onContentSizeChange={() => scroll.current?.scrollTo({ x: toToday, animated: false })}
          >
            {board}
          </ScrollView>
        )}
      </Card>
      {wide ? tray : null}
      {overAll(
        <DragOverlay dropAnimation={null}>{food ? <FoodLine food={food} on /> : null}</DragOverlay>,
      )}
    </DndContext>
  );
}

const servingName = (rows: readonly BoardRow[], { servingId }: Taken): string => {
  const one = rows
    .flatMap(({ cells }) => cells.flat())
    .find(({ serving }) => serving.id === servingId);
  return one ? `${one.food.name} for ${one.group.name}` : 'A serving';
};

/** What is said while something is moved: names, as they are on the board. */
export function announcing(named: {
  moved: (taken: Taken | FromTray) => string;
  place: (place: Place) => string;
}): Announcements {
  const moved = ({ active }: { active: Active }) =>
    named.moved(active.data.current as Taken | FromTray);
  const over = (cell: Over | null) => (cell ? named.place(cell.data.current as Place) : null);
  return {
    onDragStart: (drag) => `${moved(drag)} is taken up.`,
    onDragOver: (drag) =>
      over(drag.over) ? `${moved(drag)}: ${over(drag.over)}.` : `${moved(drag)} is off the board.`,
    onDragEnd: (drag) =>
      over(drag.over)
        ? `${moved(drag)} is set down: ${over(drag.over)}.`
        : `${moved(drag)} is back where it was.`,
    onDragCancel: (drag) => `${moved(drag)} is back where it was.`,
  };
}

/** The cell under the pointer; with the keyboard, the one that what is moved lies on most. */
const underHand: CollisionDetection = (args) =>
  args.pointerCoordinates ? pointerWithin(args) : rectIntersection(args);

/** An arrow key moves to the next cell in its direction. */
const cellByCell: KeyboardCoordinateGetter = (event, { currentCoordinates, context }) => {
  const { droppableRects, droppableContainers, collisionRect } = context;
  const towards = DIRECTIONS[event.code];
  if (!towards || !collisionRect) return undefined;
  event.preventDefault();
  const centre = {
    x: collisionRect.left + collisionRect.width / 2,
    y: collisionRect.top + collisionRect.height / 2,
  };
  let best: { x: number; y: number; far: number } | null = null;
  for (const { id } of droppableContainers.getEnabled()) {
    const rect = droppableRects.get(id);
    if (!rect) continue;
    const x = rect.left + rect.width / 2 - centre.x;
    const y = rect.top + rect.height / 2 - centre.y;
    const along = towards.x * x + towards.y * y;
    const across = Math.abs(towards.x * y + towards.y * x);
    // Behind, or the cell that it is over already.
    if (along < (towards.x !== 0 ? rect.width : rect.height) / 2) continue;
    const far = along + 3 * across;
    if (best === null || far < best.far) best = { x, y, far };
  }
  return best === null
    ? undefined
    : { x: currentCoordinates.x + best.x, y: currentCoordinates.y + best.y };
};

const DIRECTIONS: Record<string, { x: number; y: number }> = {
  ArrowLeft: { x: -1, y: 0 },
  ArrowRight: { x: 1, y: 0 },
  ArrowUp: { x: 0, y: -1 },
  ArrowDown: { x: 0, y: 1 },
};

const COLUMN = 124;

const useStyles = themed((c) => ({
  board: { flex: 1 },
  line: { flexDirection: 'row' },
  ruled: { borderTopWidth: 1, borderColor: c.rule },
  ruledLeft: { borderLeftWidth: 1, borderColor: c.rule },
  momentHead: {
    width: 80,
    padding: 8,
    // On the web it stays in sight while the days scroll beneath it.
    position: 'sticky' as 'relative',
    left: 0,
    zIndex: 5,
    backgroundColor: c.paper,
  },
  column: { width: COLUMN },
  columnWide: { flex: 1, minWidth: 0 },
  dayHead: { padding: 8, borderLeftWidth: 1, borderColor: c.rule },
  today: { backgroundColor: c.water },
}));
