import type { ReactNode } from 'react';
import { ScrollView, View } from 'react-native';
import { SIZES, themed } from '../theme';
import { Text } from '../ui';

/** A page before the house is open: one column, its heading, and what is asked. */
export function Entrance({
  title,
  detail,
  children,
}: {
  title: string;
  detail?: string;
  children: ReactNode;
}) {
  const styles = useStyles();
  return (
    <ScrollView role="main" style={styles.page} contentContainerStyle={styles.content}>
      <Text tone="quiet">Open Larder</Text>
      <View style={styles.head}>
        <Text variant="title">{title}</Text>
        {detail ? <Text tone="quiet">{detail}</Text> : null}
      </View>
      {children}
    </ScrollView>
  );
}

const useStyles = themed((c) => ({
  page: { flex: 1, backgroundColor: c.ground },
  content: {
    padding: SIZES.gutter,
    paddingTop: 40,
    paddingBottom: 96,
    gap: 16,
    width: '100%',
    maxWidth: 520,
    alignSelf: 'center',
  },
  head: { gap: 8 },
}));
