import { useDraggable, useDroppable } from '@dnd-kit/core';
import { formatServing, formatUnits } from '@open-larder/say';
import type { RoundServing } from '@open-larder/core/round';
import { type ComponentProps, type ReactNode, type Ref } from 'react';
import { createPortal } from 'react-dom';
import { Pressable, View } from 'react-native';
import { FoodSign } from '../draw/FoodSign';
import { type AppData } from '../store';
import { SIZES, themed } from '../theme';
import { Text } from '../ui';

/** Where something is on the board. */
export interface Place {
  day: number;
  momentId: string;
}

/** What is being dragged. */
export interface Taken extends Place {
  groupId: string;
  servingId: string;
}

/** Out of all that scrolls, which would cut off and shift what is dragged. */
export const overAll = (node: ReactNode) =>
  typeof document === 'undefined' ? node : createPortal(node, document.body);

export const HOW = {
  draggable:
    'Press M to take this up, the arrow keys to move it to a day and moment, M to set it down, Escape to leave it where it was.',
};

interface CellProps {
  place: Place;
  label: string;
  servings: readonly RoundServing[];
  data: AppData;
  several: boolean;
  style: ComponentProps<typeof View>['style'];
  onOpen: (place: Place) => void;
}

export function BoardCell({ place, label, servings, data, several, style, onOpen }: CellProps) {
  const styles = useStyles();
  const { setNodeRef, isOver } = useDroppable({
    id: `${place.day} ${place.momentId}`,
    data: place,
  });
  return (
    <View
      ref={setNodeRef as unknown as Ref<View>}
      style={[style, isOver && styles.over]}
      role="cell"
    >
      {servings.map((one) => (
        <Chip
          key={one.key}
          one={one}
          place={place}
          data={data}
          several={several}
          onPress={() => onOpen(place)}
        />
      ))}
      <Pressable
        role="button"
        aria-label={`${servings.length > 0 ? 'Change' : 'Add food'}: ${label}`}
        onPress={() => onOpen(place)}
        style={styles.empty}
      >
        <Text variant="small" tone="quiet">
          {servings.length > 0 ? '' : '+'}
        </Text>
      </Pressable>
    </View>
  );
}

interface ChipProps {
  one: RoundServing;
  place: Place;
  data: AppData;
  several: boolean;
  onPress: () => void;
}

function Chip({ one, place, data, several, onPress }: ChipProps) {
  const styles = useStyles();
  const taken: Taken = { ...place, groupId: one.group.id, servingId: one.serving.id };
  const { setNodeRef, listeners, transform, isDragging } = useDraggable({
    id: `${one.serving.id} ${place.day}`,
    data: taken,
  });
  const amount = formatUnits(one.portion.units, one.food.unit);
  const family = data.foods.find((food) => food.id === one.food.id)?.family ?? 'grain';
  return (
    <View
      ref={setNodeRef as unknown as Ref<View>}
      {...(listeners as object)}
      style={[
        isDragging && styles.dragged,
        transform
          ? { transform: [{ translateX: transform.x }, { translateY: transform.y }] }
          : null,
      ]}
    >
      <Pressable
        role="button"
        aria-label={`${amount} ${one.food.name} for ${one.group.name}`}
        aria-roledescription="serving that can be moved"
        onPress={onPress}
        style={styles.chip}
      >
        <FoodSign family={family} size={18} />
        <View style={styles.words}>
          <Text variant="small" numberOfLines={3}>
            {formatServing(amount, one.food.name)}
          </Text>
          {several ? (
            <Text variant="small" tone="quiet" numberOfLines={1}>
              {one.group.name}
            </Text>
          ) : null}
        </View>
      </Pressable>
    </View>
  );
}

const useStyles = themed((c) => ({
  over: { backgroundColor: c.waterDeep },
  chip: {
    minHeight: SIZES.touch,
    paddingHorizontal: 5,
    paddingVertical: 3,
    flexDirection: 'row',
    gap: 4,
    alignItems: 'flex-start',
  },
  dragged: { opacity: 0.85, zIndex: 10, backgroundColor: c.paper },
  words: { flex: 1, minWidth: 0 },
  empty: { minHeight: 28, flexGrow: 1, alignItems: 'center', justifyContent: 'center' },
}));
