import { useRef } from 'react';
import { Pressable, ScrollView } from 'react-native';
import { SIZES, themed } from '../theme';
import { Text } from './Text';

interface Props<V> {
  label: string;
  value: V;
  tabs: readonly { value: V; label: string }[];
  onChange: (value: V) => void;
}

/** So much of the tab before is in sight too. */
const BESIDE = 48;

/** A row of views of the same thing; scrolls sideways where it is long. */
export function Tabs<V extends string>({ label, value, tabs, onChange }: Props<V>) {
  const styles = useStyles();
  const strip = useRef<ScrollView>(null);
  return (
    <ScrollView
      ref={strip}
      horizontal
      showsHorizontalScrollIndicator={false}
      contentContainerStyle={styles.row}
      style={styles.strip}
      role="tablist"
      aria-label={label}
    >
      {tabs.map((tab) => (
        <Pressable
          key={tab.value}
          role="tab"
          aria-selected={tab.value === value}
          onPress={() => onChange(tab.value)}
          // The one that is looked at is in sight, wherever it stands.
          onLayout={({ nativeEvent: { layout } }) => {
            if (tab.value === value) strip.current?.scrollTo({ x: Math.max(0, layout.x - BESIDE) });
          }}
          style={[styles.tab, tab.value === value && styles.on]}
        >
          <Text variant={tab.value === value ? 'strong' : 'body'}>{tab.label}</Text>
        </Pressable>
      ))}
    </ScrollView>
  );
}

const useStyles = themed((c) => ({
  strip: { flexGrow: 0, borderBottomWidth: 1, borderColor: c.rule },
  row: { gap: 4 },
  tab: {
    minHeight: SIZES.touch,
    minWidth: SIZES.touch,
    paddingHorizontal: 12,
    justifyContent: 'center',
    borderBottomWidth: 3,
    borderColor: 'transparent',
  },
  on: { borderColor: c.roe },
}));
