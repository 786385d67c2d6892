import List from 'lucide-react-native/icons/list';
import { useState, type RefObject } from 'react';
import { Pressable, View, type ScrollView } from 'react-native';
import { useAppSelector } from '../store';
import { SIZES, themed, useColours } from '../theme';
import { IconButton } from './IconButton';
import { Sheet } from './Sheet';
import { Text } from './Text';

/** A page taller than this on a phone, in px, has a list of its parts: some three screens. */
export const TALL = 2500;

/**
 * The parts of a tall page under one button that stays in reach: each is the way to its part.
 * @param pane what scrolls; its parts are the headings in it
 */
export function Contents({ pane }: { pane: RefObject<ScrollView | null> }) {
  const styles = useStyles();
  const colours = useColours();
  const thumb = useAppSelector((state) => state.display.thumb);
  const [parts, setParts] = useState<HTMLElement[] | null>(null);
  return (
    <View style={[styles.place, thumb === 'left' && styles.left]} pointerEvents="box-none">
      <IconButton label="On this page" onPress={() => setParts(partsIn(pane.current))}>
        <List size={22} color={colours.ink} />
      </IconButton>
      <Sheet title="On this page" open={parts !== null} onClose={() => setParts(null)}>
        {parts?.map((part, at) => (
          <Pressable
            key={at}
            role="link"
            onPress={() => {
              setParts(null);
              // The sheet gives the page back first.
              requestAnimationFrame(() => part.scrollIntoView({ block: 'start' }));
            }}
            style={styles.part}
          >
            <Text>{part.textContent}</Text>
          </Pressable>
        ))}
      </Sheet>
    </View>
  );
}

function partsIn(pane: ScrollView | null): HTMLElement[] {
  const node = pane?.getScrollableNode() as HTMLElement | undefined;
  return [...(node?.querySelectorAll<HTMLElement>('[role="heading"][aria-level="2"], h2') ?? [])];
}

const useStyles = themed((c) => ({
  place: {
    position: 'absolute',
    right: 12,
    bottom: 12,
    borderRadius: SIZES.touch / 2,
    borderWidth: 1,
    borderColor: c.ink,
    backgroundColor: c.paper,
  },
  left: { right: undefined, left: 12 },
  part: { minHeight: SIZES.touch, justifyContent: 'center' },
}));
