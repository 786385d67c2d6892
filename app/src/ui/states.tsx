import type { Problem } from '@open-larder/contract';
import type { ReactNode } from 'react';
import { View } from 'react-native';
import { SIZES, themed } from '../theme';
import { Button } from './Button';
import { Text } from './Text';

/** Nothing here yet: what to do first. */
export function Empty({
  title,
  text,
  action,
}: {
  title: string;
  text: string;
  action?: ReactNode;
}) {
  const styles = useStyles();
  return (
    <View style={styles.box}>
      <Text variant="subtitle">{title}</Text>
      <Text tone="quiet">{text}</Text>
      {action}
    </View>
  );
}

/** What went wrong, and a way to try again. */
export function Fault({ problem, onRetry }: { problem: Problem; onRetry?: () => void }) {
  const styles = useStyles();
  return (
    <View style={[styles.box, styles.fieldError]} role="alert">
      <Text variant="strong">{problem.title}</Text>
      <Text>{problem.detail}</Text>
      {onRetry ? <Button label="Try again" onPress={onRetry} /> : null}
    </View>
  );
}

/** Shapes of what is coming. */
export function Skeleton({ rows = 3, height = 72 }: { rows?: number; height?: number }) {
  const styles = useStyles();
  return (
    <View style={styles.skeleton} role="status" aria-busy aria-label="Loading">
      {Array.from({ length: rows }, (_, index) => (
        <View key={index} style={[styles.bar, { height }]} />
      ))}
    </View>
  );
}

const useStyles = themed((c) => ({
  box: {
    gap: 12,
    padding: SIZES.gutter,
    alignItems: 'flex-start',
    borderWidth: 1,
    borderStyle: 'dashed',
    borderColor: c.ink2,
    borderRadius: SIZES.radius,
  },
  fieldError: { borderColor: c.roe, borderStyle: 'solid', backgroundColor: c.paper },
  skeleton: { gap: 12 },
  bar: { backgroundColor: c.rule, opacity: 0.5, borderRadius: SIZES.radius },
}));
