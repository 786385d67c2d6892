import { useDraggable } from '@dnd-kit/core';
import type { FoodRow } from '@open-larder/contract';
import { type Ref } from 'react';
import { Pressable, ScrollView, View } from 'react-native';
import { FoodSign } from '../draw/FoodSign';
import { SIZES, themed } from '../theme';
import { Choice, Text } from '../ui';

interface Props {
  foods: readonly FoodRow[];
  groups: readonly { id: string; name: string }[];
  /** For whom a food is put in. */
  groupId: string;
  onGroup: (groupId: string) => void;
  /** The food that the next tapped cell gets. */
  held: string | null;
  onHold: (foodId: string | null) => void;
}

/** What of a drag from the tray says that it is one. */
export interface FromTray {
  newFoodId: string;
}

/** The foods of the shelf: drag one into a cell, or tap it and then the cells that it goes into. */
export function FoodTray({ foods, groups, groupId, onGroup, held, onHold }: Props) {
  const styles = useStyles();
  return (
    <View style={styles.tray}>
      {groups.length > 1 ? (
        <Choice
          label="Put in for"
          value={groupId}
          options={groups.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={onGroup}
        />
      ) : null}
      <ScrollView horizontal contentContainerStyle={styles.foods} role="group" aria-label="Foods">
        {foods.map((one) => (
          <TrayFood
            key={one.id}
            food={one}
            on={held === one.id}
            onPress={() => onHold(held === one.id ? null : one.id)}
          />
        ))}
      </ScrollView>
      <Text variant="small" tone="quiet" role="status">
        {held
          ? `Now tap the cells that ${foods.find((one) => one.id === held)?.name ?? 'it'} goes into; tap it again to stop.`
          : 'Drag a food into a cell, or tap it and then the cells.'}
      </Text>
    </View>
  );
}

function TrayFood({ food, on, onPress }: { food: FoodRow; on: boolean; onPress: () => void }) {
  const { setNodeRef, listeners } = useDraggable({
    id: `tray ${food.id}`,
    data: { newFoodId: food.id } satisfies FromTray,
  });
  return (
    <View ref={setNodeRef as unknown as Ref<View>} {...(listeners as object)}>
      <Pressable
        role="button"
        aria-label={`${food.name}, to put in`}
        aria-pressed={on}
        onPress={onPress}
      >
        <FoodLine food={food} on={on} />
      </Pressable>
    </View>
  );
}

/** A food as it lies on the shelf, and as it is dragged. */
export function FoodLine({ food, on }: { food: FoodRow; on: boolean }) {
  const styles = useStyles();
  return (
    <View style={[styles.food, on && styles.on]}>
      <FoodSign family={food.family} size={20} />
      <Text variant={on ? 'strong' : 'body'} numberOfLines={1}>
        {food.name}
      </Text>
    </View>
  );
}

const useStyles = themed((c) => ({
  tray: { gap: 8 },
  foods: { gap: 8 },
  food: {
    minHeight: SIZES.touch,
    paddingHorizontal: 10,
    flexDirection: 'row',
    alignItems: 'center',
    gap: 8,
    borderWidth: 1,
    borderRadius: SIZES.radius,
    borderColor: c.rule,
    backgroundColor: c.paper,
  },
  on: { borderColor: c.ink, backgroundColor: c.water },
}));
