import type { Access } from '@open-larder/contract/paths';
import type { ReactNode } from 'react';
import { Pressable } from 'react-native';
import { SIZES, themed } from '../theme';
import { useMay } from './mayDo';

interface Props {
  label: string;
  onPress: () => void;
  children: ReactNode;
  /** Who may do it, the least of them: it is not offered to others. */
  least?: Access;
  testID?: string;
}

/** A sign that can be tapped. The label is for those who listen, and for a resting pointer. */
export function IconButton({ label, onPress, children, least = 'anyone', testID }: Props) {
  const styles = useStyles();
  const may = useMay(least);
  if (!may) return null;
  return (
    <Pressable
      role="button"
      aria-label={label}
      onPress={onPress}
      testID={testID}
      style={({ pressed }) => [styles.base, pressed && styles.pressed]}
    >
      {children}
    </Pressable>
  );
}

const useStyles = themed((c) => ({
  base: {
    width: SIZES.touch,
    height: SIZES.touch,
    borderRadius: SIZES.radius,
    alignItems: 'center',
    justifyContent: 'center',
  },
  pressed: { backgroundColor: c.rule },
}));
