import type { ReactNode } from 'react';
import { View } from 'react-native';
import { SIZES, themed } from '../theme';

interface Props {
  children: ReactNode;
  /** Ink instead of a hairline: the one that is next. */
  marked?: boolean;
  label?: string;
}

/** A raised sheet of paper with a hairline. */
export function Card({ children, marked = false, label }: Props) {
  const styles = useStyles();
  return (
    <View
      style={[styles.card, marked && styles.marked]}
      {...(label ? { role: 'group', 'aria-label': label } : null)}
    >
      {children}
    </View>
  );
}

const useStyles = themed((c) => ({
  card: {
    backgroundColor: c.paper,
    borderWidth: 1,
    borderColor: c.rule,
    borderRadius: SIZES.radius,
    overflow: 'hidden',
  },
  marked: { borderColor: c.ink },
}));
