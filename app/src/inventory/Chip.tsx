import type { ReactNode } from 'react';
import { Pressable, View } from 'react-native';
import { SIZES, themed } from '../theme';
import { Text } from '../ui';

/** One thing that was read: tapped to correct it. */
export function Chip({
  title,
  detail,
  lead,
  tone = 'ink',
  on,
  spoken,
  onPress,
}: {
  title: string;
  detail?: string;
  lead?: ReactNode;
  /** «due» where something is still to be said. */
  tone?: 'ink' | 'due';
  /** Of those that are switched on and off. */
  on?: boolean;
  spoken?: string;
  onPress: () => void;
}) {
  const styles = useStyles();
  return (
    <Pressable
      role={on === undefined ? 'button' : 'checkbox'}
      aria-checked={on}
      aria-label={spoken ?? [title, detail].filter(Boolean).join(', ')}
      onPress={onPress}
      style={[styles.chip, tone === 'due' && styles.due, on && styles.on]}
    >
      {lead}
      <View style={styles.words}>
        <Text
          variant={on || (on === undefined && lead === undefined) ? 'strong' : 'body'}
          tone={tone}
        >
          {title}
        </Text>
        {detail ? (
          <Text variant="small" tone="quiet">
            {detail}
          </Text>
        ) : null}
      </View>
    </Pressable>
  );
}

const useStyles = themed((c) => ({
  chip: {
    minHeight: SIZES.touch,
    maxWidth: '100%',
    flexDirection: 'row',
    alignItems: 'center',
    gap: 8,
    paddingHorizontal: 10,
    paddingVertical: 4,
    borderWidth: 1,
    borderColor: c.rule,
    borderRadius: SIZES.radius,
    backgroundColor: c.paper,
  },
  due: { borderColor: c.roe },
  on: { borderColor: c.ink, borderWidth: 2, paddingHorizontal: 9, backgroundColor: c.water },
  words: { flexShrink: 1, minWidth: 0 },
}));
