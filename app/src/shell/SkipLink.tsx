import { Platform, Pressable } from 'react-native';
import { SIZES, themed } from '../theme';
import { Text } from '../ui';

/** Where the keys go at once: the serving that is next, or whatever is open. */
const TARGETS = ['[role="main"] [aria-label^="Served: "]', '[role="main"]'];

/** The first stop of the tab key, seen only there: past the places, to what is to be done. */
export function SkipLink() {
  const styles = useStyles();
  if (Platform.OS !== 'web') return null;
  const skip = () => {
    const to = TARGETS.map((one) => document.querySelector<HTMLElement>(one)).find(Boolean);
    if (!to) return;
    if (to.getAttribute('role') === 'main') to.tabIndex = -1;
    to.focus();
  };
  return (
    <Pressable
      role="link"
      aria-label="Skip to what is next"
      onPress={skip}
      style={(state) => [styles.link, !(state as { focused?: boolean }).focused && styles.away]}
    >
      <Text variant="strong">Skip to what is next</Text>
    </Pressable>
  );
}

const useStyles = themed((c) => ({
  link: {
    position: 'absolute',
    top: 8,
    left: 8,
    zIndex: 10,
    minHeight: SIZES.touch,
    justifyContent: 'center',
    paddingHorizontal: 16,
    backgroundColor: c.paper,
    borderWidth: 2,
    borderColor: c.ink,
    borderRadius: SIZES.radius,
  },
  away: { left: -9999 },
}));
