import ChevronRight from 'lucide-react-native/icons/chevron-right';
import type { ReactNode } from 'react';
import { Pressable, View } from 'react-native';
import { SIZES, themed, useColours } from '../theme';
import { Text } from './Text';

interface Props {
  title: string;
  detail?: string;
  /** At the start: a sign, a number. */
  lead?: ReactNode;
  /** At the end: a figure, a button. Without it a row that can be pressed shows a chevron. */
  trail?: ReactNode;
  onPress?: () => void;
  selected?: boolean;
  first?: boolean;
}

/** One line of a list on a card, with a hairline above all but the first. */
export function ListRow({ title, detail, lead, trail, onPress, selected, first = false }: Props) {
  const styles = useStyles();
  const colours = useColours();
  const content = (
    <>
      {lead}
      <View style={styles.words}>
        <Text variant="strong">{title}</Text>
        {detail ? (
          <Text variant="small" tone="quiet">
            {detail}
          </Text>
        ) : null}
      </View>
      {trail ?? (onPress ? <ChevronRight size={20} color={colours.ink2} /> : null)}
    </>
  );
  const variant = [styles.row, !first && styles.ruled, selected && styles.selected];
  return onPress ? (
    <Pressable
      role="link"
      onPress={onPress}
      aria-label={detail ? `${title}, ${detail}` : title}
      style={variant}
    >
      {content}
    </Pressable>
  ) : (
    <View style={variant}>{content}</View>
  );
}

const useStyles = themed((c) => ({
  row: {
    minHeight: SIZES.touch + 8,
    flexDirection: 'row',
    alignItems: 'center',
    gap: 12,
    paddingHorizontal: 12,
    paddingVertical: 8,
  },
  ruled: { borderTopWidth: 1, borderColor: c.rule },
  selected: { backgroundColor: c.water },
  words: { flex: 1, minWidth: 0 },
}));
