import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  MouseSensor,
  TouchSensor,
  useSensor,
  useSensors,
  type Announcements,
  type DragEndEvent,
} from '@dnd-kit/core';
import {
  arrayMove,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import type { Problem, Tank } from '@open-larder/contract';
import ArrowDown from 'lucide-react-native/icons/arrow-down';
import ArrowUp from 'lucide-react-native/icons/arrow-up';
import Grip from 'lucide-react-native/icons/grip-vertical';
import { useState, type Ref } from 'react';
import { View } from 'react-native';
import { api } from '../store';
import { SIZES, themed, useColours } from '../theme';
import { Button, IconButton, Sheet, Text, useToast } from '../ui';
import { NumberTag } from './NumberTag';

interface Props {
  /** Those that are kept, in their order. */
  tanks: readonly Tank[];
  onClose: () => void;
}

/** The order in which the tanks are walked: dragged, or moved step by step. */
export function WalkSheet({ tanks, onClose }: Props) {
  const toast = useToast();
  const [edit] = api.useEditWalkMutation();
  const [ids, setIds] = useState(() => tanks.map(({ id }) => id));
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 6 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 200, tolerance: 8 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const move = (from: number, to: number) =>
    setIds((before) => (to < 0 || to >= before.length ? before : arrayMove(before, from, to)));
  const drop = ({ active, over }: DragEndEvent) => {
    if (over) move(ids.indexOf(String(active.id)), ids.indexOf(String(over.id)));
  };
  const save = async () => {
    const before = tanks.map(({ id }) => id);
    const done = await edit({ body: { tankIds: ids } });
    if (done.error) {
      toast((done.error as Problem).detail, { tone: 'error' });
      return;
    }
    onClose();
    toast('The Round follows this order from now on.', {
      undo: () => void edit({ body: { tankIds: before } }),
    });
  };
  const byId = new Map(tanks.map((tank) => [tank.id, tank]));
  const nameOf = ({ id }: { id: string | number }) => byId.get(String(id))?.name ?? 'The tank';
  // Names, as they are in the list.
  const announcements: Announcements = {
    onDragStart: ({ active }) => `${nameOf(active)} is taken up.`,
    onDragOver: ({ active, over }) =>
      over && over.id !== active.id ? `${nameOf(active)}: at the place of ${nameOf(over)}.` : '',
    onDragEnd: ({ active, over }) =>
      over ? `${nameOf(active)} is set down.` : `${nameOf(active)} is back where it was.`,
    onDragCancel: ({ active }) => `${nameOf(active)} is back where it was.`,
  };
  return (
    <Sheet title="Walking order" open onClose={onClose}>
      <Text tone="quiet">
        As you go from tank to tank. Drag a tank by its handle, or move it step by step.
      </Text>
      <DndContext
        sensors={sensors}
        collisionDetection={closestCenter}
        onDragEnd={drop}
        accessibility={{ announcements }}
      >
        <SortableContext items={ids} strategy={verticalListSortingStrategy}>
          {ids.map((id, at) => (
            <WalkRow
              key={id}
              tank={byId.get(id)!}
              place={at + 1}
              onUp={at > 0 ? () => move(at, at - 1) : null}
              onDown={at < ids.length - 1 ? () => move(at, at + 1) : null}
            />
          ))}
        </SortableContext>
      </DndContext>
      <View style={{ alignItems: 'flex-start' }}>
        <Button
          variant="primary"
          label="Keep this order"
          disabled={ids.every((id, at) => id === tanks[at]?.id)}
          onPress={() => save()}
        />
      </View>
    </Sheet>
  );
}

interface RowProps {
  tank: Tank;
  place: number;
  onUp: (() => void) | null;
  onDown: (() => void) | null;
}

function WalkRow({ tank, place, onUp, onDown }: RowProps) {
  const styles = useStyles();
  const colours = useColours();
  const { setNodeRef, listeners, transform, isDragging } = useSortable({ id: tank.id });
  return (
    <View
      ref={setNodeRef as unknown as Ref<View>}
      style={[
        styles.row,
        isDragging && styles.dragged,
        transform ? { transform: [{ translateY: transform.y }] } : null,
      ]}
    >
      <View
        {...(listeners as object)}
        role="button"
        tabIndex={0}
        aria-label={`Drag ${tank.name}`}
        style={styles.grip}
      >
        <Grip size={22} color={colours.ink2} />
      </View>
      <NumberTag number={place} />
      <View style={{ flex: 1, minWidth: 0 }}>
        <Text variant="strong">{tank.name}</Text>
      </View>
      {onUp ? (
        <IconButton label={`${tank.name} earlier`} onPress={onUp}>
          <ArrowUp size={22} color={colours.ink} />
        </IconButton>
      ) : null}
      {onDown ? (
        <IconButton label={`${tank.name} later`} onPress={onDown}>
          <ArrowDown size={22} color={colours.ink} />
        </IconButton>
      ) : null}
    </View>
  );
}

const useStyles = themed((c) => ({
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 10,
    minHeight: SIZES.touch,
    backgroundColor: c.paper,
    borderWidth: 1,
    borderColor: c.rule,
    borderRadius: SIZES.radius,
  },
  dragged: { zIndex: 5, borderColor: c.ink },
  // On the web a thumb that drags it does not scroll what lies beneath.
  grip: {
    width: SIZES.touch,
    minHeight: SIZES.touch,
    alignItems: 'center',
    justifyContent: 'center',
    touchAction: 'none' as 'auto',
  },
}));
