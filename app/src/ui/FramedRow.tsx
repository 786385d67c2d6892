import type { ReactNode } from 'react';
import { View } from 'react-native';
import { SIZES, themed } from '../theme';

/** One row of a long list as if it lay on a card: the card is never there whole. */
export function FramedRow({ first, children }: { first: boolean; children: ReactNode }) {
  const styles = useStyles();
  return <View style={[styles.row, first && styles.first]}>{children}</View>;
}

const useStyles = themed((c) => ({
  row: {
    backgroundColor: c.paper,
    borderLeftWidth: 1,
    borderRightWidth: 1,
    borderBottomWidth: 1,
    borderColor: c.rule,
  },
  first: {
    borderTopWidth: 1,
    marginTop: 16,
    borderTopLeftRadius: SIZES.radius,
    borderTopRightRadius: SIZES.radius,
  },
}));
