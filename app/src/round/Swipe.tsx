import { useLayoutEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { PanResponder, View } from 'react-native';
import { themed } from '../theme';
import { Text, useMay } from '../ui';

interface Props {
  /** What a swipe to the right does, and to the left; said while the finger is on it. */
  right: { says: string; onSwipe: () => void };
  left: { says: string; onSwipe: () => void };
  children: ReactNode;
}

/** A finger that went so far sideways means it; less lets the row fall back. */
const MEANT_PX = 72;
/** From here on it is a swipe, and no longer a tap or a scroll. */
const BEGINS_PX = 12;

/** A row that is swiped to one side or the other; what a button on it does as well. */
export function Swipe({ right, left, children }: Props) {
  const styles = useStyles();
  const [dx, setDx] = useState(0);
  const acts = useRef({ right, left });
  useLayoutEffect(() => {
    acts.current = { right, left };
  });
  const { panHandlers } = useMemo(
    () =>
      // Read when a finger lifts, never while drawing: a responder made anew would lose its gesture.
      // eslint-disable-next-line react-hooks/refs
      PanResponder.create({
        onMoveShouldSetPanResponderCapture: (_, { dx: x, dy }) =>
          Math.abs(x) > BEGINS_PX && Math.abs(x) > 2 * Math.abs(dy),
        onPanResponderMove: (_, { dx: x }) => setDx(x),
        onPanResponderRelease: (_, { dx: x }) => {
          setDx(0);
          if (x >= MEANT_PX) acts.current.right.onSwipe();
          if (x <= -MEANT_PX) acts.current.left.onSwipe();
        },
        onPanResponderTerminate: () => setDx(0),
        onPanResponderTerminationRequest: () => false,
      }),
    [],
  );
  const may = useMay('feeder');
  const meant = Math.abs(dx) >= MEANT_PX;
  if (!may) return children;
  return (
    <View {...panHandlers} style={styles.swipe}>
      {dx === 0 ? null : (
        <View style={[styles.behind, dx < 0 && styles.atRight]} aria-hidden>
          <Text variant="strong" tone={meant ? 'ink' : 'quiet'}>
            {dx > 0 ? right.says : left.says}
          </Text>
        </View>
      )}
      <View style={[styles.front, { transform: [{ translateX: dx }] }]}>{children}</View>
    </View>
  );
}

const useStyles = themed((c) => ({
  // The browser scrolls upwards and downwards; sideways is ours, and selects no words.
  swipe: { overflow: 'hidden', touchAction: 'pan-y', userSelect: 'none' } as object,
  behind: {
    position: 'absolute',
    inset: 0,
    justifyContent: 'center',
    paddingHorizontal: 16,
    backgroundColor: c.waterDeep,
  },
  atRight: { alignItems: 'flex-end' },
  front: { backgroundColor: c.paper },
}));
