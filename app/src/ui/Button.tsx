import type { Access } from '@open-larder/contract/paths';
import type { ReactNode } from 'react';
import { ActivityIndicator, Pressable, View } from 'react-native';
import { useMay } from './mayDo';
import { useBusy } from './useBusy';
import { FONTS, SIZES, themed, useColours } from '../theme';
import { Text as NativeText } from 'react-native';

interface Props {
  label: string;
  /** What it does. Where that takes time, a promise of its end: until then a further tap is the same. */
  onPress: () => unknown;
  /** Held: another way to what is beside it. */
  onHold?: () => void;
  /** primary: the one act of a screen. plain: a quiet border. bare: words alone. */
  variant?: 'primary' | 'plain' | 'bare';
  /** Said in place of the label, where the label alone is not enough. */
  spoken?: string;
  icon?: ReactNode;
  /** Something that it began elsewhere is under way. */
  busy?: boolean;
  disabled?: boolean;
  tall?: boolean;
  /** Who may do it, the least of them: it is not offered to others. */
  least?: Access;
  testID?: string;
}

export function Button({
  label,
  onPress,
  onHold,
  variant = 'plain',
  spoken,
  icon,
  busy: elsewhere = false,
  disabled = false,
  tall = false,
  least = 'anyone',
  testID,
}: Props) {
  const may = useMay(least);
  const { busy: running, run } = useBusy(onPress);
  const busy = running || elsewhere;
  const styles = useStyles();
  const colours = useColours();
  const text = variant === 'primary' ? colours.onRoe : colours.ink;
  if (!may) return null;
  return (
    <Pressable
      role="button"
      aria-label={spoken ?? label}
      aria-disabled={disabled || busy}
      aria-busy={busy}
      disabled={disabled || busy}
      onPress={run}
      onLongPress={onHold}
      testID={testID}
      style={({ pressed }) => [
        styles.base,
        styles[variant],
        tall && styles.tall,
        (disabled || busy) && styles.dim,
        pressed && styles.pressed,
      ]}
    >
      <View style={styles.row}>
        {busy ? <ActivityIndicator size="small" color={text} /> : icon}
        <NativeText style={[styles.label, { color: text }]}>{label}</NativeText>
      </View>
    </Pressable>
  );
}

const useStyles = themed((c) => ({
  base: {
    minHeight: SIZES.touch,
    minWidth: SIZES.touch,
    borderRadius: SIZES.radius,
    paddingHorizontal: 18,
    paddingVertical: 8,
    justifyContent: 'center',
    alignItems: 'center',
    borderWidth: 1,
    borderColor: 'transparent',
  },
  primary: { backgroundColor: c.roe, borderColor: c.roe },
  plain: { backgroundColor: c.paper, borderColor: c.ink },
  bare: { paddingHorizontal: 8 },
  tall: { minHeight: SIZES.serve, minWidth: 104 },
  dim: { opacity: 0.55 },
  pressed: { opacity: 0.8 },
  row: { flexDirection: 'row', alignItems: 'center', gap: 8 },
  label: { fontFamily: FONTS.strong, fontSize: 16, lineHeight: 22, textAlign: 'center' },
}));
