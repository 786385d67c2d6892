import type { FoodFamily } from '@open-larder/catalogue';
import { Pressable } from 'react-native';
import { ServeSign } from '../draw/ServeSign';
import { SIZES, themed } from '../theme';
import { useMay } from '../ui';

/** The one tap of the round: what is above the water line goes under it. */
export function ServeButton({
  family,
  served,
  next,
  spoken,
  onPress,
  onHold,
}: {
  family: FoodFamily;
  /** Drawn as served at once, before it is written. */
  served: boolean;
  /** The one that is next in the whole round: it alone is filled. */
  next: boolean;
  spoken: string;
  onPress: () => void;
  onHold?: () => void;
}) {
  const styles = useStyles();
  const may = useMay('feeder');
  if (!may) return null;
  return (
    <Pressable
      role="button"
      aria-label={spoken}
      onPress={onPress}
      onLongPress={onHold}
      style={({ pressed }) => [
        styles.button,
        next && !served && styles.next,
        pressed && styles.pressed,
      ]}
    >
      <ServeSign family={family} served={served} strong={next && !served} />
    </Pressable>
  );
}

const useStyles = themed((c) => ({
  button: {
    width: SIZES.serve + 8,
    height: SIZES.serve,
    borderRadius: SIZES.radius,
    borderWidth: 1,
    borderColor: c.ink,
    alignItems: 'center',
    justifyContent: 'center',
    backgroundColor: c.paper,
  },
  next: { backgroundColor: c.roe, borderColor: c.roe },
  pressed: { opacity: 0.7 },
}));
